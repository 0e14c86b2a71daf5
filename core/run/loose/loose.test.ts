import fc from 'fast-check';
import { matrixOf, quaternionOf, turnMatrix, type Vec3 } from '../../geometry';
import { layPieces, type PieceInHand } from '../../edit';
import { massOf } from '../../pieces';
import { emptyCourse, type Course, type RunnerKind } from '../../course';
import { Trial, floor, jumpOnly, right } from '../testing';
import { cloneState, loadPhysics, poseHash, poseMover, tick, type RunState, type World } from '..';

const freely = (kind: RunnerKind, ...pieces: PieceInHand[]): Course => ({
  ...layPieces(emptyCourse('Trial', 'free'), [
    { family: 'start', at: [0, 0, 0] },
    { family: 'slab', at: [10, -1, 0], size: [40, 1, 20] },
    ...pieces,
  ]),
  runner: { kind },
});
const block = (at: PieceInHand['at'], more: Partial<PieceInHand> = {}): PieceInHand => ({
  family: 'block',
  at,
  size: [1, 1, 1],
  loose: true,
  look: { material: 'timber' },
  ...more,
});

/** Where the foot of the n-th loose piece has got to. */
function foot({ world, state }: { world: World; state: RunState }, n = 0): Vec3 {
  const { index, at } = world.loose[n];
  const { pose } = poseMover(world.movers, state, index);
  const [x, y, z] = at;
  const m = pose.turn;
  return [
    m[0] * x + m[1] * y + m[2] * z + pose.shift[0],
    m[3] * x + m[4] * y + m[5] * z + pose.shift[1],
    m[6] * x + m[7] * y + m[8] * z + pose.shift[2],
  ];
}

beforeAll(() => loadPhysics(freely('hopper', block([3, 0, 0]))));

test('a rotation told as a quaternion is the same rotation', () => {
  const degrees = fc.integer({ min: -360, max: 360 });
  fc.assert(
    fc.property(degrees, degrees, degrees, (x, y, z) => {
      const turn = turnMatrix([x, y, z]);
      matrixOf(quaternionOf(turn)).forEach((v, i) => expect(v).toBeCloseTo(turn[i], 9));
    }),
  );
});

test('what is loose falls, lands on what is below and stacks', () => {
  const trial = new Trial(freely('hopper', block([6, 0.4, 0]), block([6, 3, 0]))).go(
    undefined,
    360,
  );
  const [lower, upper] = [foot(trial), foot(trial, 1)];
  expect(lower[1]).toBeCloseTo(0, 2);
  expect(upper[1]).toBeCloseTo(1, 1);
  const { bodies, dynamicPoses } = trial.state;
  const now = [...dynamicPoses];
  trial.go(undefined, 60);
  expect(bodies).not.toBeNull();
  // At rest to the last bit.
  expect([...trial.state.dynamicPoses]).toEqual(now);
});

test('it falls as anything falls', () => {
  const trial = new Trial(freely('hopper', block([6, 9, 0]))).go(undefined, 60);
  // Half a second at 22 m/s², by the library's steps of 1/120 s.
  expect(9 - foot(trial)[1]).toBeCloseTo(22 * 0.125, 1);
});

test('a runner stands on what is loose, and pushes it by walking into it', () => {
  const onto = new Trial(freely('hopper', block([0, 0, 0])));
  Object.assign(onto.state, { x: 0, y: 1.2, z: 0 });
  onto.go(undefined, 120);
  expect(onto.state.y).toBeCloseTo(1, 1);

  const course = freely('hopper', block([2, 0, 0], { size: [0.6, 0.6, 0.6] }));
  const pushing = new Trial(course).go(right, 240);
  expect(foot(pushing)[0]).toBeGreaterThan(3.5);
  // It is never walked into.
  expect(pushing.state.x).toBeLessThan(foot(pushing)[0] - 0.3 - 0.2);
});

test('the heavier it is the less far it is pushed', () => {
  const pushed = (material: 'timber' | 'slate') => {
    const course = freely(
      'hopper',
      block([2, 0, 0], { look: { material }, size: [0.8, 0.8, 0.8] }),
    );
    return foot(new Trial(course).go(right, 200))[0];
  };
  expect(pushed('slate')).toBeLessThan(pushed('timber') - 0.3);
});

test('an impact leaves the momentum there was', () => {
  // As high as the roller, so that it is met at the height of its middle and does not tip.
  const course = freely('roller', block([5, 0, 0], { size: [1, 0.7, 1] }));
  const trial = new Trial(course).go(undefined, 30);
  trial.state.vx = 8;
  trial.go(undefined, 120, (s) => s.vx < 5);
  const before = 300 * 7.72;
  trial.go(undefined, 1);
  const mass = massOf(
    course,
    course.pieces.find(({ loose }) => loose)!,
  );
  const after = 300 * trial.state.vx + mass * (foot(trial)[0] - 5) * 120;
  // The floor takes a little of it within the tick.
  expect(Math.abs(after - before) / before).toBeLessThan(0.06);
});

test('movers and boosts push it, and the tide takes it', () => {
  const mover = freely('hopper', block([6, 0, 4]), {
    family: 'block',
    at: [3, 0, 4],
    motion: [{ kind: 'path', points: [[3, 0, 0]], speed: 2 }],
  });
  expect(foot(new Trial(mover).go(undefined, 200))[0]).toBeGreaterThan(6.5);
  const boost = freely('hopper', block([6, 0, 4]), {
    family: 'boost',
    at: [6, 0, 4],
    size: [3, 2, 3],
  });
  expect(foot(new Trial(boost).go(undefined, 200))[0]).not.toBeCloseTo(6, 1);
  const off = new Trial(freely('hopper', block([40, 0, 0]))).go(undefined, 600);
  expect(off.state.away[off.world.loose[0].piece]).toBe(1);
});

test('a state that is copied goes on as the other does, bit for bit', () => {
  const course = freely(
    'hopper',
    block([2, 0, 0], { size: [0.7, 0.7, 0.7] }),
    block([2.2, 1.2, 0.1], { size: [0.5, 0.5, 0.5] }),
    block([2, 2.4, 0], { family: 'cask' }),
  );
  const trial = new Trial(course).go(right, 40);
  const other = cloneState(trial.state);
  const numbers = (s: RunState) => poseHash(Float64Array.from([s.x, s.y, s.z, ...s.dynamicPoses]));
  for (let i = 0; i < 200; i++) {
    trial.go(right);
    tick(trial.world, other, right, () => {});
    expect(numbers(other)).toBe(numbers(trial.state));
  }
  const again = new Trial(course).go(right, 240);
  expect(numbers(again.state)).toBe(numbers(trial.state));
});

test('on a side-on stage it stays within the plane', () => {
  const course = {
    ...layPieces(emptyCourse('Trial'), [
      { family: 'start', at: [0, 0, 0] },
      floor(-5, 30),
      block([2, 0, 0], { size: [0.6, 0.6, 0.6] }),
      block([2.2, 0.7, 0], { size: [0.6, 0.6, 0.6] }),
    ] as PieceInHand[]),
  };
  const trial = new Trial(course).go(right, 240);
  expect(foot(trial)[0]).toBeGreaterThan(2.5);
  expect(foot(trial)[2]).toBeCloseTo(0, 6);
});

test('a checkpoint that restores has loose pieces back where they were', () => {
  const course = freely(
    'hopper',
    block([7, 0, 0], { size: [0.6, 0.6, 0.6] }),
    { family: 'cairn', at: [4, 0, 0], params: { resets: 'resets' } },
    { family: 'thorns', at: [14, 0, 0], size: [2, 0.6, 4] },
  );
  const trial = new Trial(course).go(right, 600, (s) => s.falls > 0);
  expect(trial.happened('checkpoint')).toHaveLength(1);
  expect(foot(trial)[0]).toBeCloseTo(7, 1);
});

test('a jump lands on a heap without sinking into it', () => {
  const trial = new Trial(freely('hopper', block([0, 0, 0], { size: [2, 1, 2] })));
  trial.state.y = 1.1;
  for (let i = 0; i < 6; i++) trial.go(jumpOnly, 30).go(undefined, 90);
  expect(trial.state.y).toBeCloseTo(1, 1);
  expect(trial.state.falls).toBe(0);
});
