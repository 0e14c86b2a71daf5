import fc from 'fast-check';
import type { Course } from '../../course';
import { anyRun } from '../fuzz.testing';
import { courseOf, floor, right, rightJump, Trial } from '../testing';
import {
  buildWorld,
  carryState,
  cloneState,
  type CarryProblem,
  NO_INPUT,
  type RunState,
  stateKeys,
  tick,
} from '..';
import { cases } from '../../deep.testing';

const carried = (trial: Trial, to: Course): RunState | CarryProblem =>
  carryState(stateKeys(trial.world), trial.state, buildWorld(to));

const without = (course: Course, ...ids: string[]): Course => ({
  ...course,
  pieces: course.pieces.filter(({ id }) => !ids.includes(id)),
});

test('onto the same course it goes on as it would have, bit for bit but for what stood on what', () => {
  const course = courseOf(floor(-5, 60), { family: 'cairn', at: [6, 0, 0], params: { number: 1 } });
  const trial = new Trial(course).go(right, 300);
  const on = carried(trial, course) as RunState;
  const world = buildWorld(course);
  for (let i = 0; i < 240; i++) tick(world, on, right, () => {});
  trial.go(right, 240);
  expect(on.x).toBeCloseTo(trial.state.x, 6);
  expect(on.y).toBeCloseTo(trial.state.y, 6);
  expect(on.checkpoint).toBe(trial.state.checkpoint);
  expect(on.tick).toBe(trial.state.tick);
});

test('what was passed and gathered stays so when pieces before it in the course’s order are gone', () => {
  const course = courseOf(
    floor(-5, 60),
    { family: 'pine', at: [-3, 0, 4] },
    { family: 'block', at: [-4, 0, 0] },
    { family: 'cairn', at: [3, 0, 0], params: { number: 1 } },
    { family: 'shell', at: [5, 0.2, 0] },
    { family: 'shell', at: [50, 0.2, 0] },
  );
  const trial = new Trial(course).go(right, 200);
  expect([trial.state.checkpoint, trial.state.gatheredCount]).toEqual([0, 1]);
  const on = carried(trial, without(course, 'p3', 'p4')) as RunState;
  expect([on.checkpoint, on.gatheredCount, [...on.passed], on.gathered.length]).toEqual([
    0,
    1,
    [1],
    2,
  ]);
  expect(on.gathered[0]).toBeGreaterThan(0);
});

test('each reason has its word', () => {
  const course = courseOf(
    floor(-5, 60),
    { family: 'cairn', at: [3, 0, 0], params: { number: 1 } },
    { family: 'shell', at: [5, 0.2, 0] },
  );
  const trial = new Trial(course).go(right, 200);
  expect(carried(trial, without(course, 'p3'))).toBe('marks-gone');
  expect(carried(trial, without(course, 'p4'))).toBe('marks-gone');
  expect(carried(trial, { ...course, runner: { kind: 'roller' } } as Course)).toBe('other-runner');
  const { x } = trial.state;
  const walled = courseOf(floor(-5, 60), ...course.pieces.slice(2), {
    family: 'block',
    at: [x, 0, 0],
    size: [2, 2, 2],
  });
  expect(carried(trial, walled)).toBe('inside');
  const loose = courseOf(floor(-5, 60), ...course.pieces.slice(2), {
    family: 'crate',
    at: [40, 0.5, 0],
    loose: true,
  });
  expect(carried(trial, loose)).toBe('loose');
});

test('a piece laid since is as at the start of a run, and can be run into', () => {
  const course = courseOf(floor(-5, 60));
  const trial = new Trial(course).go(right, 120);
  const { x } = trial.state;
  const to = courseOf(floor(-5, 60), { family: 'block', at: [x + 6, 0, 0], size: [2, 4, 4] });
  const on = carried(trial, to) as RunState;
  const world = buildWorld(to);
  for (let i = 0; i < 600; i++) tick(world, on, right, () => {});
  expect(on.x).toBeLessThan(x + 5);
  expect(on.x).toBeGreaterThan(x + 4);
});

test('a mover goes on from where it had got to', () => {
  const ferry = {
    family: 'slab' as const,
    at: [4, -1, 0] as const,
    size: [4, 1, 4] as const,
    motion: [{ kind: 'swing' as const, axis: 'x' as const, angle: 20, period: 3 }],
    wake: { by: 'touch' as const },
  };
  const course = courseOf(floor(-5, 2), ferry as never, floor(6, 60));
  const trial = new Trial(course).go(right, 110).go(rightJump, 30).go(right, 100);
  // It was woken: else there would be nothing to go on.
  expect(trial.state.moverFrom.some((from) => from > 0)).toBe(true);
  const on = carried(trial, without(course, 'zz')) as RunState;
  expect([...on.moverFrom]).toEqual([...trial.state.moverFrom]);
});

test('whatever the run, carrying leaves the state it came from as it was', () => {
  fc.assert(
    fc.property(anyRun, ({ course, inputs }) => {
      const trial = new Trial(course);
      for (const input of inputs.slice(0, 200)) trial.go(input);
      const before = JSON.stringify(cloneState(trial.state));
      const on = carried(trial, course);
      expect(JSON.stringify(cloneState(trial.state))).toBe(before);
      if (typeof on === 'string') return;
      const world = buildWorld(course);
      for (let i = 0; i < 60; i++) tick(world, on, NO_INPUT, () => {});
      expect(Number.isFinite(on.x + on.y + on.z)).toBe(true);
    }),
    { numRuns: cases(40), seed: 3 },
  );
});
