import { DEFAULT_GRAVITY, DT, hopperOf, poseMover, SLOPE_LIMIT, STEP_HEIGHT } from '.';
import { floor, courseOf, jumpOnly, right, rightJump, Trial } from './testing';
import { SKIN } from './state';

const hopper = hopperOf();
const jumpSpeed = Math.sqrt(2 * DEFAULT_GRAVITY * hopper.jumpHeight);
const settled = (...pieces: Parameters<typeof courseOf>) =>
  new Trial(courseOf(...pieces)).go(undefined, 5);

test('a held jump reaches its height, and a tap much less', () => {
  const held = settled(floor(-5, 5));
  const foot = held.state.y;
  let top = 0;
  for (let i = 0; i < 120; i++) top = Math.max(top, held.go(jumpOnly).state.y - foot);
  // At the top a tick's motion is g·dt²/8 at most.
  expect(top).toBeLessThanOrEqual(hopper.jumpHeight + 1e-9);
  expect(top).toBeGreaterThan(hopper.jumpHeight - (DEFAULT_GRAVITY * DT * DT) / 8 - 1e-9);

  const tapped = settled(floor(-5, 5)).go(jumpOnly, 3);
  let low = 0;
  for (let i = 0; i < 120; i++) low = Math.max(low, tapped.go().state.y - foot);
  expect(low).toBeLessThan(hopper.jumpHeight / 2);
});

test('a jump at full speed reaches as far as the ballistic formula says, within a tick', () => {
  const trial = settled(floor(-5, 40)).go(right, 60);
  expect(trial.state.vx).toBeCloseTo(hopper.topSpeed, 9);
  const from = trial.state.x;
  const [, landed] = [trial.go(rightJump), trial.go(rightJump, 200, (s) => s.ground >= 0)];
  const reach = (2 * hopper.topSpeed * jumpSpeed) / DEFAULT_GRAVITY;
  expect(Math.abs(landed.state.x - from - reach)).toBeLessThanOrEqual(hopper.topSpeed * DT + SKIN);
});

test('full speed takes the time its setting says', () => {
  const trial = settled(floor(-5, 40)).go(right, 600, (s) => s.vx >= hopper.topSpeed - 1e-9);
  expect(trial.state.tick - 5).toBe(Math.round(hopper.topSpeed / hopper.acceleration / DT));
});

test.each([
  [-0.01, true],
  [0.01, false],
])('a step %f m over the step height is climbed: %s', (over, climbed) => {
  const step = { family: 'slab', at: [6, -1, 0], size: [6, 1 + STEP_HEIGHT + over, 6] } as const;
  const trial = settled(floor(-5, 3), { ...step, at: [6, -1, 0], size: [...step.size] }).go(
    right,
    150,
  );
  expect(trial.state.x > 4).toBe(climbed);
});

test.each([
  [SLOPE_LIMIT - 0.5, true],
  [SLOPE_LIMIT + 0.5, false],
])('a slope of %f° is run up: %s', (degrees, climbed) => {
  const height = 4 * Math.tan((degrees * Math.PI) / 180);
  const trial = settled(floor(-5, 2), { family: 'ramp', at: [4, 0, 0], size: [4, height, 6] });
  trial.go(right, 120);
  expect(trial.state.y > 2).toBe(climbed);
});

test('standing on a mover for 10,000 ticks neither slips nor sinks', () => {
  for (const direction of ['along', 'up']) {
    const trial = new Trial(
      courseOf({ family: 'drift', at: [0, -0.5, 0], params: { span: 7, direction, period: 3.3 } }),
    ).go(undefined, 30);
    const { world, state } = trial;
    const offset = () =>
      [0, 1].map((i) => [state.x, state.y][i] - poseMover(world.movers, state, 0).pose.shift[i]);
    const [x, y] = offset();
    for (let i = 0; i < 10_000; i++) {
      trial.go();
      const [px, py] = offset();
      if (state.ground < 0 || Math.abs(px - x) > 1e-6 || Math.abs(py - y) > 1e-6) {
        throw new Error(`${direction}: slipped to ${px - x}, ${py - y} at tick ${state.tick}`);
      }
    }
  }
});

test('a jump is still given just after an edge and kept just before a landing', () => {
  const late = settled(floor(-5, 3)).go(right, 200, (s) => s.ground < 0);
  late.go(right, hopper.coyoteTicks - 2).go(rightJump);
  expect(late.happened('jump')).toHaveLength(1);
  const tooLate = settled(floor(-5, 3)).go(right, 200, (s) => s.ground < 0);
  tooLate.go(right, hopper.coyoteTicks + 2).go(rightJump);
  expect(tooLate.happened('jump')).toHaveLength(0);

  const early = settled(floor(-5, 40)).go(jumpOnly, 40).go(undefined, 1);
  early.go(undefined, 200, (s) => s.vy < 0 && s.y < 0.1).go(jumpOnly, 20);
  expect(early.happened('jump')).toHaveLength(2);
});

test('a wall stops, a hazard sends back, the tide returns to the checkpoint', () => {
  const walled = settled(floor(-5, 9), { family: 'slab', at: [4, 0, 0], size: [1, 3, 6] });
  walled.go(right, 300);
  expect(walled.state.x).toBeCloseTo(3.5 - 0.25 - SKIN, 6);

  const hurt = settled(floor(-5, 20), { family: 'thorns', at: [6, 0, 0] }).go(right, 130);
  expect(hurt.happened('hazard')).toHaveLength(1);
  expect(hurt.state.x).toBeLessThan(4);

  const sunk = settled(floor(-5, 6), { family: 'cairn', at: [4, 0, 0] });
  sunk.go(right, 400, (s) => s.falls > 0);
  expect(sunk.happened('checkpoint')).toHaveLength(1);
  expect(sunk.state.x).toBe(4);
});

test('a mover that closes on a wall crushes', () => {
  const trial = settled(
    floor(-5, 9),
    { family: 'slab', at: [1, 0, 0], size: [1, 3, 6] },
    { family: 'drift', at: [-3, 0.1, 0], size: [2, 2, 2], params: { span: 2.6, period: 2 } },
  ).go(undefined, 240);
  expect(trial.happened('crush').length).toBeGreaterThan(0);
});

test('the goal of a gather course stays shut until every shell is gathered', () => {
  const course = courseOf(
    floor(-5, 20),
    { family: 'shell', at: [8, 0, 0] },
    { family: 'lantern', at: [4, 0, 0] },
  );
  const trial = new Trial({ ...course, kind: 'gather' }).go(right, 100);
  expect(trial.happened('shut')).toHaveLength(1);
  trial.go(right, 100, (s) => s.gatheredCount === 1).go({ x: -16, z: 0, jump: false }, 200);
  expect(trial.happened('goal')).toHaveLength(1);
  // The crossing is timed within the tick.
  expect((trial.state.finish / DT) % 1).toBeGreaterThan(0);
});
