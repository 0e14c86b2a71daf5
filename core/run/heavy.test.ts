import { layPieces, type PieceInHand } from '../edit';
import { checkCourse, heavyRunRule } from '../check';
import { emptyCourse, MOST_CARRIED, type Course, type Link, type Piece } from '../course';
import { buildWorld, courseHash, NO_INPUT, Recorder, ReplayRefused, verifyRun } from '.';
import { courseOf, floor, right, Trial } from './testing';

/** Pieces with ids of their own, without the cost of laying them one by one. */
const many = (count: number, piece: (i: number) => PieceInHand): Piece[] =>
  Array.from({ length: count }, (_, i) => ({ ...piece(i), id: `m${i}` }));
const withPieces = (pieces: readonly Piece[], more: Partial<Course> = {}): Course => {
  const base = courseOf(floor(-20, 20), { family: 'lantern', at: [15, 0, 0] });
  return { ...base, space: 'free', ...more, pieces: [...base.pieces, ...pieces] };
};
const grid = (i: number, step = 3): [number, number, number] => [
  (i % 140) * step - 200,
  -40,
  Math.floor(i / 140) * step - 200,
];
const swings: Piece['motion'] = [{ kind: 'swing', axis: 'y', angle: 5, period: 3 }];

describe('what hangs on one another, however long the row', () => {
  test.each([1, -1])('goes along with the one at its end, told from either (%i)', (way) => {
    const count = 20_000;
    const end = way > 0 ? 0 : count - 1;
    const course = withPieces(
      many(count, (i) => ({
        family: 'slab',
        at: grid(i),
        ...(i === end ? { motion: swings } : { attach: `m${i - way}` }),
      })),
    );
    const world = buildWorld(course);
    const last = world.placeOf.get(`m${way > 0 ? count - 1 : 0}`)!;
    expect(world.pieceMovers[last]).toBe(world.pieceMovers[world.placeOf.get(`m${end}`)!]);
    expect(world.movers).toHaveLength(1);
  });

  test('movers on movers are carried so many deep, and the check says where it ends', () => {
    const count = 1000;
    const course = withPieces(
      many(count, (i) => ({
        family: 'slab',
        at: grid(i),
        motion: swings,
        ...(i > 0 ? { attach: `m${i - 1}` } : {}),
      })),
    );
    const world = buildWorld(course);
    const depth = (mover: number): number => {
      let deep = 0;
      for (let i = mover; i >= 0; i = world.movers[i].parent) deep++;
      return deep;
    };
    expect(Math.max(...world.movers.map(({ index }) => depth(index)))).toBe(MOST_CARRIED + 1);
    const found = checkCourse(course).filter(({ rule }) => rule === 'attach');
    expect(found[0].message).toContain(String(MOST_CARRIED));
    expect(found[0].piece).toBe(`m${MOST_CARRIED + 1}`);
  });

  test('a ring stays where it is, and is found', () => {
    const course = withPieces(
      many(3, (i) => ({ family: 'slab', at: grid(i), motion: swings, attach: `m${(i + 1) % 3}` })),
    );
    expect(buildWorld(course).movers).toHaveLength(3);
    expect(checkCourse(course).filter(({ rule }) => rule === 'attach')).toHaveLength(1);
  });
});

const chatter = (i: number, more: Partial<Link> = {}): Link => ({
  id: `l${i}`,
  cue: { kind: 'timer', seconds: 0.1 },
  effects: Array.from({ length: 20 }, () => ({ kind: 'message' as const, text: 'tide' })),
  ...more,
});

test('links by the hundred act a bounded number of times a tick, those delayed among them', () => {
  const links = Array.from({ length: 500 }, (_, i) => chatter(i, i % 2 ? { delay: 0.05 } : {}));
  const trial = new Trial(withPieces([], { links }));
  for (let i = 0; i < 240; i++) {
    const before = trial.events.length;
    trial.go();
    expect(trial.events.length - before).toBeLessThan(80);
  }
  // None is left out for good.
  const acted = new Set(trial.happened('link').map(({ text }) => text));
  expect(acted.size).toBe(500);
  expect(trial.happened('loop')).toHaveLength(0);
});

test('a start that a hundred links wait for has all of them act, in their order, over some ticks', () => {
  const links = Array.from({ length: 150 }, (_, i) =>
    chatter(i, { cue: { kind: 'start' }, effects: [{ kind: 'points', value: 1 }] }),
  );
  const trial = new Trial(withPieces([], { links })).go(NO_INPUT, 5);
  expect(trial.happened('link').map(({ text }) => text)).toEqual(links.map(({ id }) => id));
  expect(trial.state.worth).toBe(150);
});

test('what breaks while very many links act is heard all the same, and is no loop', () => {
  const wall = many(1, () => ({ family: 'slab', at: [0, 4, 0] }));
  const links: Link[] = [
    ...Array.from({ length: 64 }, (_, i) =>
      chatter(i, { cue: { kind: 'start' }, effects: [{ kind: 'points', value: 1 }] }),
    ),
  ];
  links[63] = { ...links[63], effects: [{ kind: 'break', pieces: ['m0'] }] };
  const after: Link = {
    id: 'after',
    cue: { kind: 'broken', pieces: ['m0'] },
    effects: [{ kind: 'points', value: 100 }],
  };
  const trial = new Trial(withPieces(wall, { links: [...links, after] })).go(NO_INPUT, 3);
  expect(trial.state.worth).toBe(163);
  expect(trial.happened('loop')).toHaveLength(0);
});

test('a link that is left or stood in hears it among hundreds of pieces', () => {
  const pads = many(200, (i) => ({ family: 'touch', at: [2 + i * 0.02, 0, 0] }));
  const ids = pads.map(({ id }) => id);
  const links: Link[] = [
    {
      id: 'stood',
      cue: { kind: 'stood', pieces: ids, seconds: 0.5 },
      effects: [{ kind: 'points', value: 1 }],
    },
    {
      id: 'left',
      cue: { kind: 'left', pieces: ids.slice(0, 1) },
      effects: [{ kind: 'points', value: 100 }],
    },
  ];
  const trial = new Trial(withPieces(pads, { links })).go(right, 300, ({ x }) => x > 9);
  expect(trial.happened('link').map(({ text }) => text)).toEqual(['stood', 'left']);
  expect(trial.state.worth).toBe(101);
});

test('switches of one number open their gates once a tick, however many are stood on', () => {
  const switches = many(400, () => ({ family: 'switch', at: [0, 0, 0], params: { pair: 4 } }));
  const gates = many(400, (i) => ({ family: 'gate', at: grid(i), params: { pair: 4 } }));
  const course = withPieces([
    ...switches,
    ...gates.map((gate) => ({ ...gate, id: `g${gate.id}` })),
  ]);
  const trial = new Trial(course).go();
  expect(trial.happened('switch')).toHaveLength(1);
  const { world, state } = trial;
  const shut = gates.filter(
    (gate) => state.gates[world.pieceGates[world.placeOf.get(`g${gate.id}`)!]] <= 1,
  );
  expect(shut).toHaveLength(0);
});

test('a run that takes too long to check is refused, and nothing of another is kept', () => {
  const course = withPieces([]);
  const recorder = new Recorder();
  for (let i = 0; i < 400; i++) recorder.add(right);
  const run = recorder.run(courseHash(course), 3);
  let asked = 0;
  expect(() => verifyRun(course, run, () => ++asked < 5)).toThrow(ReplayRefused);
  expect(asked).toBe(5);
  const score = verifyRun(course, run, () => true)!;
  expect(score.time).toBeGreaterThan(2);
  expect(Object.keys(score).sort()).toEqual(['strokes', 'ticks', 'time']);
});

describe('the check says what no run could bear, with the figure', () => {
  const thrower = { what: 'boulder', size: 0.5, interval: 1, speed: 5, life: 3, most: 20 };
  test.each<[string, Course]>([
    [
      '101 loose pieces',
      withPieces(many(101, (i) => ({ family: 'crate', at: grid(i), loose: true }))),
    ],
    ['260 copies', withPieces(many(13, (i) => ({ family: 'boulder', at: grid(i), thrower })))],
    [
      '2001 pieces move',
      withPieces(many(2001, (i) => ({ family: 'slab', at: grid(i), motion: swings }))),
    ],
    [
      '5000 times a second',
      withPieces([], { links: Array.from({ length: 500 }, (_, i) => chatter(i)) }),
    ],
  ])('%s', (words, course) => {
    const found = heavyRunRule.check(course);
    expect(found.map(({ message }) => message).join()).toContain(words);
    expect(found[0].weight).toBe('error');
  });

  test('what a maker would do is not too much', () => {
    expect(
      heavyRunRule.check(
        withPieces(
          many(40, (i) => ({ family: 'boulder', at: grid(i), thrower: { ...thrower, most: 6 } })),
          {
            links: Array.from({ length: 40 }, (_, i) =>
              chatter(i, { cue: { kind: 'timer', seconds: 1 } }),
            ),
          },
        ),
      ),
    ).toEqual([]);
  });
});

test('thousands in one place are checked like any, and the crowd is told of', () => {
  const same = withPieces(many(20_000, () => ({ family: 'slab', at: [9, -40, 9] })));
  const near = withPieces(
    many(20_000, (i) => ({
      family: 'slab',
      at: [9 + (i % 100) / 1000, -40 + (i % 37) / 1000, 9],
      size: [2, 0.5, 2 + i / 1e5],
    })),
  );
  for (const course of [same, near]) {
    const found = checkCourse(course);
    expect(found.filter(({ rule }) => rule === 'crowd').length).toBeGreaterThan(0);
    expect(found.length).toBeLessThan(60);
  }
});

test('a ring of links of any size is found, one that shows nothing is none', () => {
  const ring = (count: number, shows: boolean): Course => ({
    ...layPieces(emptyCourse('Ring'), []),
    ...withPieces(many(count, (i) => ({ family: 'slab', at: grid(i), breaks: { touches: 1 } }))),
    links: Array.from({ length: count }, (_, i): Link => ({
      id: `l${i}`,
      cue: { kind: 'broken', pieces: [`m${i}`] },
      effects: [
        ...(shows ? [{ kind: 'show' as const, pieces: [`m${i}`] }] : []),
        { kind: 'break', pieces: [`m${(i + 1) % count}`, `m${(i * 7) % count}`] },
      ],
    })),
  });
  const loops = (course: Course) => checkCourse(course).filter(({ rule }) => rule === 'link-loop');
  for (const count of [2, 11, 500]) {
    expect(loops(ring(count, true))).toHaveLength(1);
    expect(loops(ring(count, false))).toHaveLength(0);
  }
});
