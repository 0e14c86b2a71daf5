import fc from 'fast-check';
import { layPieces, type PieceInHand } from '../../edit';
import { emptyCourse, RUNNERS, type Course } from '../../course';
import { buildWorld, NotRunnable, RUNNER_SPECS, runnerOf, ticksOf, tideLine } from '.';
import { newQueryBox } from './broadPhase';

const FLOOR: PieceInHand = { family: 'slab', at: [10, -1, 0], size: [60, 1, 12] };
const START: PieceInHand = { family: 'start', at: [0, 0, 0] };
const laid = (...pieces: PieceInHand[]): Course =>
  layPieces(emptyCourse('World', 'free'), [START, FLOOR, ...pieces]);
const world = (...pieces: PieceInHand[]) => buildWorld(laid(...pieces));

test('without a start no world is made', () => {
  const course = layPieces(emptyCourse('Empty'), [FLOOR]);
  expect(() => buildWorld(course)).toThrow(NotRunnable);
});

test('pieces are in the order they were laid, whatever order a file has them in', () => {
  const course = laid(
    ...Array.from({ length: 12 }, (_, i): PieceInHand => ({ family: 'shell', at: [i, 0, 0] })),
  );
  const shuffled = { ...course, pieces: [...course.pieces].reverse() };
  expect(buildWorld(shuffled).pieces.map(({ id }) => id)).toEqual(
    course.pieces.map(({ id }) => id),
  );
});

test('every collider is found by a box about any of its places, and nothing far off is', () => {
  const { colliders, broadPhase } = world(
    { family: 'block', at: [5, 0, 0], size: [2, 2, 2] },
    { family: 'drift', at: [12, 0, 3] },
    { family: 'shell', at: [3, 0.5, 1] },
  );
  const box = newQueryBox();
  const ask = (x: number, y: number, z: number) => {
    Object.assign(box, {
      x0: x - 0.1,
      x1: x + 0.1,
      y0: y - 0.1,
      y1: y + 0.1,
      z0: z - 0.1,
      z1: z + 0.1,
    });
    const { solids, sensors } = broadPhase.query(box);
    return [...solids.list, ...sensors.list];
  };
  const part = fc.integer({ min: 0, max: 100 }).map((n) => n / 100);
  fc.assert(
    fc.property(fc.nat(colliders.length - 1), part, part, part, (i, u, v, w) => {
      const { low, high } = colliders[i];
      const [x, y, z] = [u, v, w].map((k, axis) => low[axis] + k * (high[axis] - low[axis]));
      expect(ask(x, y, z)).toContain(colliders[i]);
    }),
    { numRuns: 300 },
  );
  expect(ask(500, 500, 500)).toEqual([]);
});

test('a box larger than what is kept of a place is answered all the same', () => {
  const { colliders, broadPhase } = world({ family: 'block', at: [20, 0, 0] });
  const everywhere = { x0: -99, y0: -99, z0: -99, x1: 99, y1: 99, z1: 99 };
  const { solids, sensors } = broadPhase.query(everywhere);
  expect(solids.list.length + sensors.list.length).toBe(colliders.length);
});

test('a switch opens the gates of its number, and no others', () => {
  const gate = (pair: number, x: number): PieceInHand => ({
    family: 'gate',
    at: [x, 0, 0],
    params: { pair, opens: 'pair' },
  });
  const made = world(gate(1, 4), gate(2, 6), gate(1, 8), {
    family: 'switch',
    at: [2, 0, 0],
    params: { pair: 1 },
  });
  const [opened] = [...made.switches.values()];
  const pieces = opened.gates.map((gateIndex) => made.pieceGates.indexOf(gateIndex));
  expect(pieces.map((i) => made.pieces[i].id)).toEqual(['p3', 'p5']);
});

test('portals lead to the others of their number in turn', () => {
  const portal = (pair: number, x: number): PieceInHand => ({
    family: 'portal',
    at: [x, 0, 0],
    params: { pair },
  });
  const { portals, portalAt, pieces } = world(portal(1, 4), portal(2, 6), portal(1, 8));
  expect(portals.map(({ alike }) => alike)).toEqual([[0, 2], [1], [0, 2]]);
  expect(pieces.filter((_, i) => portalAt[i] >= 0).map(({ family }) => family)).toEqual([
    'portal',
    'portal',
    'portal',
  ]);
});

test('throwers get room for all their copies, one after the other', () => {
  const thrower = { what: 'boulder', size: 1, interval: 1, speed: 5, life: 3 };
  const { emitters, maxProjectiles, bodies } = world(
    { family: 'crate', at: [4, 0, 0], thrower: { ...thrower, most: 3 } },
    { family: 'crate', at: [8, 0, 0], thrower: { ...thrower, most: 5 } },
  );
  expect(emitters.map(({ first, most }) => [first, most])).toEqual([
    [0, 3],
    [3, 5],
  ]);
  expect(maxProjectiles).toBe(8);
  // Their bodies are kept apart from the runner's sizes.
  for (const { body } of emitters) expect(body.index).toBe(bodies.length);
  expect(emitters[0].interval).toBe(ticksOf(1));
  expect(emitters[0].body.radius).toBe(0.5);
});

test('sizes that regions and links may give are known, each once, with the usual one first', () => {
  const course = laid({ family: 'grow', at: [4, 0, 0] });
  const link = (value: number) => ({
    id: `l${value}`,
    cue: { kind: 'start' as const },
    effects: [{ kind: 'size' as const, value, seconds: 1 }],
  });
  const made = buildWorld({ ...course, links: [link(2), link(0.5), link(2)] });
  const radii = made.bodies.map(({ radius }) => radius / made.bodies[0].radius);
  expect(new Set(radii).size).toBe(radii.length);
  expect(radii[made.sizeIndex(2)]).toBeCloseTo(2, 12);
  expect(radii[made.sizeIndex(0.5)]).toBeCloseTo(0.5, 12);
  // One that nothing gives is as usual.
  expect(made.sizeIndex(7)).toBe(0);
});

test('a mover goes along with what carries it, and what hangs on itself stands still', () => {
  const lift: PieceInHand = {
    family: 'slab',
    at: [4, 0, 0],
    motion: [{ kind: 'bob', height: 1, period: 2 }],
  };
  const course = laid(lift, { family: 'crate', at: [4, 1, 0], attach: 'p3' });
  const made = buildWorld(course);
  expect(made.pieceMovers[3]).toBe(made.pieceMovers[2]);
  const ring = {
    ...course,
    pieces: course.pieces.map((piece) =>
      piece.id === 'p3' ? { ...piece, attach: 'p4', motion: undefined } : piece,
    ),
  };
  const round = buildWorld(ring);
  expect([round.pieceMovers[2], round.pieceMovers[3]]).toEqual([-1, -1]);
});

test('the tide lies below all that can be stood on, or where the maker set it', () => {
  expect(tideLine(laid())).toBeLessThan(-0.5);
  expect(tideLine({ ...laid(), tide: 2 })).toBe(2);
  const deep = laid({ family: 'slab', at: [4, -9, 0] });
  expect(tideLine(deep)).toBeLessThan(tideLine(laid()));
});

test.each(RUNNERS)(
  'a %s has its usual figures unless others are set, and a body to be run in',
  (kind) => {
    const { defaults, presets, camera } = RUNNER_SPECS[kind];
    const usual = runnerOf({ kind });
    expect(usual.kind).toBe(kind);
    expect(usual.body.radius).toBeGreaterThan(0.1);
    expect(runnerOf({ kind, settings: defaults })).toEqual(usual);
    expect(runnerOf({ kind, settings: { ...defaults, mass: 7 } }).mass).toBe(7);
    expect(presets[0].settings).toEqual({});
    expect(new Set(presets.map(({ label }) => label)).size).toBe(presets.length);
    for (const { settings } of presets.slice(1))
      expect(runnerOf({ kind, settings })).not.toEqual(usual);
    expect(camera.distance).toBeGreaterThan(5);
  },
);

test('a piece of a family that is not known keeps a course from being run, and is told with its place', () => {
  const course = layPieces(emptyCourse('Strange', 'free'), [
    { family: 'start', at: [0, 0, 0] },
    { family: 'crate', at: [4, 0, 2] },
  ]);
  const pieces = course.pieces.map((piece) =>
    piece.family === 'crate' ? { ...piece, family: 'rocket' } : piece,
  );
  const build = () => buildWorld({ ...course, pieces });
  expect(build).toThrow(NotRunnable);
  expect(build).toThrow('Piece p2 at 4, 0, 2 m is of no known family: "rocket".');
});
