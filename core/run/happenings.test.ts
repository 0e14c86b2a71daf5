import { emptyCourse } from '../course';
import { layPieces } from '../edit';
import { hopperOf, SKIN, initialState, buildWorld, tick, tideLine, NotRunnable, Recorder } from '.';
import { courseOf, floor, jumpOnly, right, rightJump, Trial } from './testing';

const hopper = hopperOf();

test('shells are gathered once, in passing, and timed within the tick', () => {
  const trial = new Trial(courseOf(floor(-5, 20), { family: 'shell', at: [3, 0.1, 0] })).go(
    right,
    200,
  );
  trial.go({ x: -16, z: 0, jump: false }, 200);
  expect(trial.happened('pickup')).toHaveLength(1);
  expect(trial.state.gatheredCount).toBe(1);
  const [{ time, tick: at, piece }] = trial.happened('pickup');
  expect(time).toBeGreaterThan((at - 1) / 120);
  expect(time).toBeLessThanOrEqual(at / 120);
  expect(piece).toBe('p3');
});

test('cairns count in their order only, unless the course leaves it open', () => {
  const course = courseOf(
    floor(-5, 10),
    { family: 'cairn', at: [3, 0, 0], params: { number: 2 } },
    { family: 'cairn', at: [7, 0, 0], params: { number: 1 } },
  );
  const there = new Trial(course).go(right, 400, (s) => s.falls > 0);
  expect(there.happened('checkpoint').map(({ piece }) => piece)).toEqual(['p4']);
  expect(there.happened('missed')).toHaveLength(1);
  const trial = new Trial({ ...course, order: 'free' }).go(right, 400, (s) => s.falls > 0);
  expect(trial.happened('checkpoint').map(({ piece }) => piece)).toEqual(['p3', 'p4']);
  expect(trial.state.x).toBe(7);
  // After a return the pad is not heeded for a moment.
  trial.go(right, hopper.restTicks);
  expect(trial.state.x).toBe(7);
  expect(trial.go(right, 10).state.x).toBeGreaterThan(7);
});

test('a ceiling stops a jump and keeps the way along', () => {
  const trial = new Trial(
    courseOf(floor(-5, 30), { family: 'slab', at: [10, 1.3, 0], size: [20, 0.5, 6] }),
  ).go(right, 60);
  let top = 0;
  for (let i = 0; i < 60; i++) top = Math.max(top, trial.go(rightJump).state.y);
  expect(top).toBeCloseTo(1.3 - 0.9 - SKIN, 6);
  expect(trial.state.vx).toBeCloseTo(hopper.topSpeed, 6);
});

test('a jump from a mover takes its speed along', () => {
  const ferry = {
    family: 'drift',
    at: [0, -0.5, 0] as [number, number, number],
    params: { span: 10, period: 4, ease: 'even' },
  };
  const trial = new Trial(courseOf(ferry)).go(undefined, 60);
  expect(trial.state.vx).toBe(0);
  expect(trial.go(jumpOnly).state.vx).toBeCloseTo(5, 0);
});

test('a lift carries up, and a wall pushed along moves the runner', () => {
  const lift = new Trial(
    courseOf({
      family: 'drift',
      at: [0, -0.5, 0],
      params: { direction: 'up', span: 4, period: 4 },
    }),
  ).go(undefined, 240);
  expect(lift.state.y).toBeCloseTo(4 + SKIN, 3);
  const pushed = new Trial(
    courseOf(floor(-9, 20), {
      family: 'drift',
      at: [-3, 0.1, 0],
      size: [2, 2, 2],
      params: { span: 6, period: 6 },
    }),
  ).go(undefined, 360);
  expect(pushed.state.x).toBeGreaterThan(4);
  expect(pushed.happened('crush')).toHaveLength(0);
});

test('a free runner is no faster across, and looks where it goes', () => {
  const course = layPieces(emptyCourse('Field', 'free'), [
    { family: 'start', at: [0, 0, 0] },
    { family: 'slab', at: [0, -1, 0], size: [100, 1, 100] },
  ]);
  const trial = new Trial(course).go({ x: 16, z: -16, jump: false }, 120);
  expect(Math.hypot(trial.state.vx, trial.state.vz)).toBeCloseTo(hopper.topSpeed, 6);
  expect(trial.state.heading).toBe(45);
  expect(trial.go({ x: 0, z: 16, jump: false }, 1).state.heading).toBe(270);
});

test('on a side-on stage nothing leads out of the lane', () => {
  const trial = new Trial(
    courseOf(floor(-5, 20), {
      family: 'block',
      at: [5, -1.9, 0.7],
      turn: [0, 33, 0],
      size: [2, 2.4, 1],
    }),
  );
  for (let i = 0; i < 300; i++) {
    expect(trial.go({ x: 16, z: 9, jump: i % 60 < 20 }).state.z).toBe(0);
  }
  expect(trial.state.x).toBeGreaterThan(7);
});

test('the tide follows the lowest ground over all its motion, or what the maker set', () => {
  expect(tideLine(courseOf(floor(-5, 5, 2)))).toBeCloseTo(-1.2);
  expect(tideLine(courseOf(floor(-5, 5), { family: 'drift', at: [9, -3, 0] }))).toBeCloseTo(-3.7);
  expect(tideLine({ ...courseOf(), tide: -8 })).toBe(-8);
});

test('a course without a start cannot be made ready', () => {
  expect(() => buildWorld(emptyCourse('Nothing'))).toThrow(NotRunnable);
});

test('inputs are kept as stretches, and a finished run stays as it is', () => {
  const recorder = new Recorder();
  for (let i = 0; i < 10; i++) recorder.add(right);
  for (let i = 0; i < 5; i++) recorder.add(rightJump);
  expect(recorder.inputs).toEqual([
    [10, 16, 0, 0],
    [5, 16, 0, 1],
  ]);
  const world = buildWorld(courseOf(floor(-5, 9), { family: 'lantern', at: [3, 0, 0] }));
  const state = initialState(world);
  for (let i = 0; i < 300; i++) tick(world, state, right, () => {});
  const { tick: last, x } = state;
  tick(world, state, right, () => {});
  expect([state.tick, state.x]).toEqual([last, x]);
});
