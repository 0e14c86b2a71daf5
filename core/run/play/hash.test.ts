import { layPieces, type PieceInHand } from '../../edit';
import { emptyCourse, type Course, type Link } from '../../course';
import { FAMILIES } from '../../pieces';
import { buildWorld, courseHash, loadPhysics, NO_INPUT, initialState, tick } from '..';

/** Paths of all single values in a document. */
function leavesOf(value: unknown, path: string[] = []): string[][] {
  if (typeof value !== 'object' || value === null) return [path];
  return Object.entries(value).flatMap(([key, item]) => leavesOf(item, [...path, key]));
}

/** A document that notes which of its single values are read. */
function recorded<T extends object>(value: T, read: Set<string>, path = ''): T {
  const seen = new Map<string, unknown>();
  return new Proxy(value, {
    get(target, key, receiver) {
      const item = Reflect.get(target, key, receiver) as unknown;
      if (typeof key !== 'string' || typeof item === 'function') return item;
      const own = path ? `${path}.${key}` : key;
      if (typeof item !== 'object' || item === null) {
        if (Object.hasOwn(target, key)) read.add(own);
        return item;
      }
      if (!seen.has(key)) seen.set(key, recorded(item, read, own));
      return seen.get(key);
    },
  });
}

/** The document with one value another. */
function changed(course: Course, path: readonly string[]): Course {
  const copy = structuredClone(course);
  const last = path[path.length - 1];
  const holder = path
    .slice(0, -1)
    .reduce<Record<string, never>>((at, key) => at[key], copy as never);
  const value = holder[last] as unknown;
  const other: unknown =
    typeof value === 'number'
      ? value + 0.25
      : typeof value === 'string'
        ? `${value}x`
        : // A mark that is only ever true is taken away.
          value === false || path[0] === 'collides'
          ? !value
          : undefined;
  if (other === undefined) delete holder[last];
  else holder[last] = other as never;
  return copy;
}

const link = (id: string, cue: Link['cue'], ...effects: Link['effects']): Link => ({
  id,
  cue,
  effects,
  delay: 0.1,
  chance: 0.9,
  rest: 0.5,
});
const rich = (): Course => {
  const pieces: PieceInHand[] = [
    { family: 'start', at: [0, 0.1, 0], turn: [0, 10, 0], name: 'Here' },
    { family: 'slab', at: [0, -1, 0], size: [16, 1, 16], look: { material: 'timber' } },
    { family: 'cairn', at: [3, 0, 0], params: { number: 1, gate: 5, resets: 'resets' } },
    { family: 'lantern', at: [6, 0, 0], params: { opens: 'count', amount: 1 } },
    { family: 'shell', at: [1, 0.2, 0], worth: 3, respawn: 2 },
    {
      family: 'crate',
      at: [-2, 0.5, 2],
      loose: true,
      look: { material: 'metal', colour: '#884422' },
    },
    {
      family: 'crate',
      at: [2, 1, 3],
      motion: [{ kind: 'swing', axis: 'x', angle: 20, period: 2, phase: 0.2, beats: true }],
    },
    {
      family: 'block',
      at: [2, 3, 3],
      attach: 'p7',
      breaks: { touches: 2, speed: 4 },
      hurt: { does: 'push', force: 4 },
      role: 'hazard',
    },
    {
      family: 'block',
      at: [-4, 0, -3],
      motion: [{ kind: 'drift', velocity: [0.1, 0, 0], spread: [0.1, 0, 0] }],
      wake: { by: 'near', range: 4, sleep: 9 },
    },
    {
      family: 'slab',
      at: [4, 0, -4],
      oneWay: { side: 10, drop: true },
      allowance: { by: 'cm', value: 4 },
    },
    {
      family: 'boulder',
      at: [-5, 0, 0],
      thrower: {
        what: 'boulder',
        size: 0.5,
        interval: 0.5,
        speed: 3,
        life: 2,
        spread: 4,
        rise: 10,
        most: 3,
        bounce: 0.2,
      },
    },
    { family: 'portal', at: [5, 0, 5], params: { pair: 2, exits: 'chance', speed: 'stops' } },
    { family: 'portal', at: [-5, 0, 5], params: { pair: 2 } },
    { family: 'switch', at: [0, 0, 4], params: { pair: 3, after: 'shut' } },
    { family: 'gate', at: [0, 0, -6], params: { pair: 3 } },
    { family: 'wind', at: [0, 0, 0], params: { force: 2, rise: 10 } },
    {
      family: 'block',
      at: [7, 0, 7],
      shape: { size: [2, 1, 2], parts: [{ kind: 'ball', at: [0, 0.5, 0], radius: 0.5 }] },
    },
    { family: 'board', at: [7, 0, -7], params: { text: 'Mind the tide' }, group: 'g1', layer: 'a' },
    { family: 'pine', at: [-7, 0, 7], size: [2, 4, 2] },
  ];
  return {
    ...layPieces(
      { ...emptyCourse('Rich', 'free'), runner: { kind: 'roller', settings: { topSpeed: 5 } } },
      pieces,
    ),
    kind: 'gather',
    gravity: 20,
    limit: 30,
    tide: -5,
    hold: 3,
    laps: 2,
    tempo: { beats: 110, offset: 0.2, bar: 3 },
    notes: 'Not to be felt',
    welcome: 'Hello',
    targets: { steady: 30, brisk: 20, swift: 10 },
    collides: { boulder: true, pine: false },
    allowances: {
      families: { crate: { by: 'percent', value: 5 } },
      roles: { pickup: { by: 'cm', value: 3 } },
    },
    links: [
      link('l1', { kind: 'beat', count: 2 }, { kind: 'gravity', value: 0.9, seconds: 1 }),
      link(
        'l2',
        { kind: 'timer', seconds: 0.7 },
        { kind: 'push', by: [0.2, 0, 0.1] },
        { kind: 'hide', pieces: ['p10'] },
      ),
    ],
    sky: { hour: 9 },
  } as Course;
};

/** What a world and a stretch of a run in it read of a course. */
function readBy(course: Course): Set<string> {
  const read = new Set<string>();
  const world = buildWorld(recorded(structuredClone(course), read));
  const state = initialState(world, 3);
  const input = { x: 9, z: -3, jump: false };
  for (let i = 0; i < 600; i++) tick(world, state, i % 90 < 60 ? input : NO_INPUT, () => {});
  return read;
}

/** Read to draw what touches, and of what is loose to weigh it; never felt otherwise. */
const isTone = (course: Course, path: readonly string[]) =>
  path[2] === 'look' && (path[3] === 'colour' || !course.pieces[Number(path[1])].loose);
/** The form is kept under a name that all its settings are part of, words to be read among them. */
const isWords = (course: Course, path: readonly string[]) =>
  path[2] === 'params' && course.pieces[Number(path[1])].family === 'board';

/** A change that leaves no course at all has no hash. */
function sameHash(course: Course, hash: string): boolean {
  try {
    return courseHash(course) === hash;
  } catch {
    return false;
  }
}

test('whatever a run reads of a course is in its hash', async () => {
  const course = rich();
  await loadPhysics(course);
  const read = readBy(course);
  expect(read.size).toBeGreaterThan(150);
  const hash = courseHash(course);
  const missed = leavesOf(course).filter(
    (path) =>
      read.has(path.join('.')) &&
      !isTone(course, path) &&
      !isWords(course, path) &&
      // An id alone is no part of what is felt of what nobody feels.
      !['board', 'pine'].includes(course.pieces[Number(path[1])]?.family) &&
      sameHash(changed(course, path), hash),
  );
  expect(missed.map((path) => path.join('.'))).toEqual([]);
});

test('what no run reads is not', () => {
  const course = rich();
  const hash = courseHash(course);
  const same = (change: (copy: Course) => void) => {
    const copy = structuredClone(course);
    change(copy);
    return courseHash(copy) === hash;
  };
  const find = (copy: Course, family: string) => copy.pieces.find((one) => one.family === family)!;
  expect(same((c) => (c.name = 'Another'))).toBe(true);
  expect(same((c) => (c.welcome = 'Good day'))).toBe(true);
  expect(same((c) => (c.targets = undefined))).toBe(true);
  expect(same((c) => (find(c, 'board').params = { text: 'Low bridge' }))).toBe(true);
  expect(same((c) => (find(c, 'board').at = [9, 0, 9]))).toBe(true);
  expect(same((c) => (find(c, 'pine').size = [3, 6, 3]))).toBe(true);
  expect(same((c) => c.pieces.splice(c.pieces.indexOf(find(c, 'pine')), 1))).toBe(true);
  expect(same((c) => (find(c, 'slab').look = { material: 'ice' }))).toBe(true);
  expect(same((c) => (find(c, 'crate').look!.colour = '#112233'))).toBe(true);
  expect(same((c) => c.pieces.reverse())).toBe(true);
  expect(same((c) => (find(c, 'start').name = undefined))).toBe(true);
  // And these it does feel.
  expect(same((c) => (find(c, 'crate').look!.material = 'stone'))).toBe(false);
  expect(same((c) => (find(c, 'board').collision = 'on'))).toBe(false);
  expect(same((c) => (c.links![0].effects[0].value = 0.8))).toBe(false);
});

test('scenery that links name, or that others go along with, counts', () => {
  const course = rich();
  const pine = course.pieces.find(({ family }) => family === 'pine')!;
  const moved = (of: Course) => ({
    ...of,
    pieces: of.pieces.map((one) => (one.id === pine.id ? { ...one, at: [1, 2, 3] as never } : one)),
  });
  expect(courseHash(moved(course))).toBe(courseHash(course));
  const carried = {
    ...course,
    pieces: course.pieces.map((one) => (one.id === 'p2' ? { ...one, attach: pine.id } : one)),
  };
  expect(courseHash(moved(carried))).not.toBe(courseHash(carried));
  const named = {
    ...course,
    links: [link('l9', { kind: 'start' }, { kind: 'carry', pieces: [pine.id] })],
  };
  expect(courseHash(moved(named))).not.toBe(courseHash(named));
});

test('every family but scenery, and what is only heard, is felt', () => {
  const bare = layPieces(emptyCourse('Bare'), [{ family: 'start', at: [0, 0, 0] }]);
  for (const { id, group, drawn } of FAMILIES) {
    if (drawn || id === 'start') continue;
    const more = layPieces(bare, [{ family: id, at: [5, 0, 0] }]);
    expect([id, courseHash(more) === courseHash(bare)]).toEqual([
      id,
      group === 'scenery' || id === 'sound',
    ]);
  }
});
