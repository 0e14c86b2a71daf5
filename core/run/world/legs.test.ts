import { layPieces, type PieceInHand } from '../../edit';
import { emptyCourse, type Course, type Piece } from '../../course';
import { courseOf, floor, right, Trial } from '../testing';
import { beginAt, buildWorld, missingCheckpoint, NO_INPUT, type Input } from '..';

const left: Input = { x: -16, z: 0, jump: false };
const cairn = (x: number, params?: PieceInHand['params']): PieceInHand => ({
  family: 'cairn',
  at: [x, 0, 0],
  params,
});
const lantern = (x: number, params?: PieceInHand['params']): PieceInHand => ({
  family: 'lantern',
  at: [x, 0, 0],
  params,
});
const shell = (x: number): PieceInHand => ({ family: 'shell', at: [x, 0, 0] });
const until = (kind: 'goal' | 'leg') => (trial: Trial) => () => trial.happened(kind).length > 0;

test('checkpoints in any order are all asked for', () => {
  const course: Course = {
    ...courseOf(floor(-20, 20), cairn(-4), cairn(4), lantern(8)),
    order: 'free',
  };
  const past = new Trial(course).go(right, 200);
  expect(past.happened('shut')).toHaveLength(1);
  expect(missingCheckpoint(past.world, past.state)).toBe(1);
  const all = new Trial(course).go(left, 120);
  all.go(right, 400, until('goal')(all));
  expect(all.happened('checkpoint').map(({ piece }) => piece)).toEqual(['p3', 'p4']);
  expect(all.state.finish).toBeGreaterThan(0);
});

test('three rounds in any order of checkpoints are three rounds', () => {
  const course: Course = {
    ...courseOf(floor(-20, 20), cairn(-4), cairn(4), lantern(0)),
    order: 'free',
    kind: 'laps',
    laps: 3,
  };
  const trial = new Trial(course);
  trial.go(right, 30);
  expect(trial.state.finish).toBe(-1);
  for (let round = 0; round < 3; round++) {
    trial.go(right, 300, (s) => s.x > 5).go(left, 400, (s) => s.x < -5);
    expect(trial.happened('lap')).toHaveLength(Math.min(round, 2));
    trial.go(right, 300, (s) => s.x > -0.5 || s.finish >= 0);
  }
  expect(trial.happened('lap')).toHaveLength(2);
  expect(trial.state.finish).toBeGreaterThan(0);
});

test.each([0, -3])(
  'rounds without checkpoints are counted whole, begun %f m from the goal',
  (x) => {
    const course: Course = {
      ...layPieces({ ...emptyCourse('Rounds') }, [
        { family: 'start', at: [x, 0, 0] },
        floor(-30, 30),
        lantern(0),
      ]),
      kind: 'laps',
      laps: 3,
    };
    const trial = new Trial(course);
    // Out and back is a round; the first way over the line begins one.
    let rounds = 0;
    while (trial.state.finish < 0 && rounds < 9) {
      trial.go(right, 600, (s) => s.x > 12 || s.finish >= 0);
      trial.go(left, 600, (s) => s.x < 2 || s.finish >= 0);
      trial.go(left, 60, (s) => s.x < 0 || s.finish >= 0);
      rounds++;
    }
    expect(rounds).toBe(3);
    expect(trial.happened('lap')).toHaveLength(2);
  },
);

/** Two legs on one floor: 0 to 10, and 20 to 30. */
const twoLegs = (kind: Course['kind'], ...pieces: PieceInHand[]): Course => ({
  ...layPieces({ ...emptyCourse('Legs'), legs: [{}, {}] }, [
    { family: 'start', at: [0, 0, 0], params: { leg: 1 } },
    lantern(10, { leg: 1 }),
    { family: 'start', at: [20, 0, 0], params: { leg: 2 } },
    lantern(30, { leg: 2 }),
    floor(-5, 40),
    ...pieces,
  ]),
  kind,
});

test('checkpoints and pickups belong to their leg', () => {
  const course = twoLegs(
    'gather',
    cairn(5, { leg: 1, number: 1 }),
    cairn(25, { leg: 2, number: 1 }),
    shell(7),
    shell(27),
  );
  const trial = new Trial(course);
  trial.go(right, 700, until('goal')(trial));
  expect(trial.happened('leg')).toHaveLength(1);
  expect(trial.happened('checkpoint')).toHaveLength(2);
  expect(trial.happened('shut')).toHaveLength(0);
  expect(trial.state.finish).toBeGreaterThan(0);
});

test('a goal that asks for two shells asks for two of its own leg', () => {
  const asks = { opens: 'count', amount: 2 };
  const course = layPieces({ ...emptyCourse('Legs'), legs: [{}, {}] }, [
    { family: 'start', at: [0, 0, 0], params: { leg: 1 } },
    lantern(10, { leg: 1, ...asks }),
    { family: 'start', at: [20, 0, 0], params: { leg: 2 } },
    lantern(30, { leg: 2, ...asks }),
    floor(-5, 60),
    ...[3, 4, 5, 6, 23, 33].map(shell),
  ]);
  const trial = new Trial(course);
  trial.go(right, 600, (s) => s.x > 31);
  expect(trial.happened('leg')).toHaveLength(1);
  // Four were gathered before it began.
  expect(trial.happened('shut')).toHaveLength(1);
  trial.go(right, 300, (s) => s.x > 35).go(left, 300, until('goal')(trial));
  expect(trial.state.finish).toBeGreaterThan(0);
});

test('what is held is held anew in each leg, and overlapping goals are one place', () => {
  const course: Course = { ...twoLegs('hold', lantern(10.2, { leg: 1 })), hold: 1 };
  const trial = new Trial(course);
  trial.go(right, 300, (s) => s.x > 9.9);
  const begun = trial.state.tick;
  trial.go(NO_INPUT, 400, until('leg')(trial));
  const lasted = trial.state.tick - begun;
  expect(lasted).toBeGreaterThan(100);
  expect(lasted).toBeLessThan(125);
  trial.go(right, 300, (s) => s.x > 29.9).go(NO_INPUT, 100);
  expect(trial.state.finish).toBe(-1);
  trial.go(NO_INPUT, 60);
  expect(trial.state.finish).toBeGreaterThan(0);
});

test('begun part of the way, what comes before is passed and the way ahead is faced', () => {
  const course = twoLegs(
    'point',
    cairn(5, { leg: 1 }),
    cairn(24, { leg: 2 }),
    cairn(27, { leg: 2 }),
  );
  const begin = (x: number) => beginAt(course, buildWorld(course), [x, 0, 0]);
  expect(begin(3).state).toMatchObject({ leg: 0, checkpoint: -1 });
  const on = begin(25.5);
  expect(on.state.leg).toBe(1);
  expect(missingCheckpoint(on.world, on.state)).toBe(2);
  expect(on.state.heading).toBe(0);
  // The goal of that leg opens, and a fall leads back to where it began.
  const trial = new Trial(course);
  Object.assign(trial, { world: on.world, state: on.state });
  on.state.y = -50;
  trial.go(NO_INPUT, 1);
  expect(on.state.x).toBe(25.5);
  trial.go(right, 400, until('goal')(trial));
  expect(trial.state.finish).toBeGreaterThan(0);
  const back = layPieces(emptyCourse('Back', 'free'), [
    { family: 'start', at: [0, 0, 0] },
    { family: 'slab', at: [0, -1, 0], size: [40, 1, 40] },
    { family: 'lantern', at: [0, 0, 15] },
  ]);
  expect(beginAt(back, buildWorld(back), [0, 0, 5]).state.heading).toBe(270);
});

test('the limit is reached while every tick ends in a hazard', () => {
  const course: Course = {
    ...courseOf(floor(-5, 5), { family: 'thorns', at: [0, 0, 0] }),
    limit: 2,
  };
  const trial = new Trial(course).go(NO_INPUT, 300);
  expect(trial.happened('hazard').length).toBeGreaterThan(100);
  expect(trial.happened('time-up')).toHaveLength(1);
  expect(trial.state.tick).toBe(240);
});

test('what breaks and is shown again is whole again', () => {
  const wall: PieceInHand = {
    family: 'ashlar',
    at: [3, 0, 0],
    size: [1, 2, 4],
    breaks: { touches: 2 },
  };
  const course: Course = {
    ...courseOf(floor(-9, 9), wall),
    links: [
      {
        id: 'l1',
        cue: { kind: 'timer', seconds: 4 },
        effects: [{ kind: 'show', pieces: ['p3'] }],
      },
    ],
  };
  const trial = new Trial(course);
  const bump = () => trial.go(right, 100).go(left, 40);
  bump();
  bump();
  expect(trial.happened('break')).toHaveLength(1);
  trial.go(NO_INPUT, 480 - trial.state.tick + 1);
  trial.go(right, 60);
  expect(trial.happened('break')).toHaveLength(1);
  trial.go(left, 40);
  trial.go(right, 100);
  expect(trial.happened('break')).toHaveLength(2);
});

test('portals of a number follow one another as they were laid, the hundredth after the eleventh', () => {
  const portal = (number: number, x: number): Piece => ({
    id: `p${number}`,
    family: 'portal',
    at: [x, 0, 0],
    params: { speed: 'stops' },
  });
  const { pieces, ...course } = courseOf(floor(-5, 90));
  const trial = new Trial({
    ...course,
    pieces: [...pieces, portal(100, 30), portal(9, 20), portal(11, 40), portal(10, 4)],
  });
  trial.go(right, 120, () => trial.happened('portal').length > 0);
  expect(trial.state.x).toBeCloseTo(40, 0);
});
