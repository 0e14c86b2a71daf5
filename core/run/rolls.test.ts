import { layPieces, type PieceInHand } from '../edit';
import { emptyCourse, type Course, type RunnerKind, type RunnerSettings } from '../course';
import { DEFAULT_GRAVITY as G, LIP, NO_INPUT, type RunState } from '.';
import { Trial } from './testing';

const field = (kind: RunnerKind, settings: RunnerSettings, ...pieces: PieceInHand[]): Course =>
  layPieces({ ...emptyCourse('Rolls', 'free'), runner: { kind, settings }, tide: -30 }, [
    { family: 'start', at: [0, 0, 0] },
    { family: 'slab', at: [0, -1, 0], size: [190, 1, 190] },
    ...pieces,
  ]);
const speedOf = ({ vx, vy, vz }: RunState) => Math.hypot(vx, vy, vz);

/** A ring of upright facets about the origin, its inner faces so far out. */
const ring = (facets: number, radius: number): PieceInHand[] =>
  Array.from({ length: facets }, (_, i): PieceInHand => {
    const angle = (360 * i) / facets;
    const a = (angle * Math.PI) / 180;
    const wide = 2 * (radius + 1) * Math.tan(Math.PI / facets) + 0.02;
    return {
      family: 'slab',
      at: [(radius + 0.5) * Math.cos(a), -0.5, -(radius + 0.5) * Math.sin(a)],
      turn: [0, angle, 0],
      size: [1, 3, wide],
    };
  });

describe.each([
  ['roller', { friction: 0, grip: 0.01 }],
  ['flick', { friction: 0 }],
] as [RunnerKind, RunnerSettings][])('a %s without friction', (kind, settings) => {
  test.each([16, 32, 64])('keeps its speed along a ring of %i facets', (facets) => {
    const trial = new Trial(field(kind, settings, ...ring(facets, 9)));
    trial.go(NO_INPUT, 20);
    const { state, world } = trial;
    Object.assign(state, { x: 0, z: 9 - world.bodies[0].radius - 0.01, vx: 10, vy: 0, vz: 0 });
    trial.go(NO_INPUT, 1200);
    expect(Math.hypot(state.x, state.z)).toBeLessThan(9);
    expect(speedOf(state)).toBeGreaterThan(9.5);
    expect(speedOf(state)).toBeLessThan(10.05);
  });
});

test('a wall that is met for the first time still takes what goes into it', () => {
  const wall: PieceInHand = {
    family: 'slab',
    at: [0, -0.5, 6],
    size: [60, 3, 1],
    turn: [0, 10, 0],
  };
  const trial = new Trial(field('roller', { friction: 0, bounce: 0 }, wall));
  trial.go(NO_INPUT, 20);
  Object.assign(trial.state, { vx: 10, vz: 2 });
  trial.go(NO_INPUT, 400, ({ vz }) => vz < 1.9);
  const angle = Math.atan2(2, 10) + (10 * Math.PI) / 180;
  expect(speedOf(trial.state)).toBeCloseTo(Math.hypot(10, 2) * Math.cos(angle), 1);
});

/** A low edge across the way, 4 m ahead, as high as told. */
const lipOf = (height: number): PieceInHand => ({
  family: 'slab',
  at: [54, height - 1, 0],
  size: [100, 1, 20],
});

/** The highest a runner gets over a lip, and its speed beyond, at a speed towards it. */
function over(kind: RunnerKind, height: number, speed: number) {
  const trial = new Trial(field(kind, { topSpeed: 40 }, lipOf(height)));
  trial.go(NO_INPUT, 20);
  trial.state.vx = speed;
  let high = 0;
  trial.go(NO_INPUT, 120, ({ x, y }) => {
    high = Math.max(high, y);
    return x > 4 + speed * 0.4;
  });
  return { high, speed: speedOf(trial.state) };
}

test.each([3, 10, 25, 40])('at %d m/s a cart rides over lips of a tenth of its wheels', (speed) => {
  const most = LIP * 0.4;
  for (const height of [0.002, 0.005, 0.02, most - 0.001]) {
    const { high, speed: left } = over('cart', height, speed);
    expect([height, high < height + 0.02]).toEqual([height, true]);
    expect(left).toBeGreaterThan(speed - 0.5);
  }
});

test('a higher edge, and any edge to a sphere, throws by the angle it is met at', () => {
  // A ball of radius r meets an edge h high where its normal leans by acos(1 - h / r).
  const thrown = (radius: number, height: number, speed: number) => {
    const across = 1 - height / radius;
    const up = speed * Math.sqrt(1 - across * across) * across;
    return (up * up) / (2 * G);
  };
  expect(over('roller', 0.005, 20).high).toBeCloseTo(thrown(0.35, 0.005, 20), 1);
  expect(over('roller', 0.02, 8).high).toBeCloseTo(thrown(0.35, 0.02, 8), 1);
  expect(over('cart', 0.06, 8).high).toBeGreaterThan(0.12);
});

/** A thin upright mover that goes to and fro across the runner's place at a speed. */
const sweeper = (speed: number, thick: number): PieceInHand => ({
  family: 'slab',
  at: [-6, 0.02, 0],
  size: [thick, 3, 6],
  motion: [{ kind: 'path', points: [[12, 0, 0]], speed, ease: 'even', after: 'once' }],
});

test.each<[RunnerKind, number, number]>([
  ['hopper', 0.5, 20],
  ['hopper', 0.3, 15],
  ['roller', 0.5, 20],
  ['roller', 0.2, 30],
  ['cart', 0.3, 30],
  ['flick', 0.3, 30],
  ['hopper', 0.2, 30],
])('a %s of %d its size is never passed through by a thin wall at %d m/s', (kind, part, speed) => {
  for (const off of [0, 0.05, 0.1, 0.15, 0.2]) {
    const course: Course = {
      ...field(kind, {}, sweeper(speed, 0.05)),
      links: [{ id: 'l1', cue: { kind: 'start' }, effects: [{ kind: 'size', value: part }] }],
    };
    const trial = new Trial(course);
    trial.state.x = off;
    trial.go(NO_INPUT, Math.ceil((12 / speed) * 120) + 5);
    // It stopped at x = 6, and what it met is beyond it.
    expect([off, trial.state.x > 5.9]).toEqual([off, true]);
  }
});
