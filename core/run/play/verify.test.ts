import { ticksOf, type Run } from '..';
import { courseOf, floor } from '../testing';
import { courseHash } from './hash';
import { CORE_VERSION, MAX_RUN_TICKS } from './record';
import { ReplayRefused, ticksOfRun, verifyRun } from './verify';

const COURSE = courseOf(floor(-5, 9), { family: 'lantern', at: [3, 0, 0] });
const run = (change: Partial<Run> = {}): Run => ({
  format: 'stone-hop-run',
  core: CORE_VERSION,
  course: courseHash(COURSE),
  seed: 0,
  claim: 0,
  inputs: [[60, 16, 0, 0]],
  ...change,
});
const reasonOf = (act: () => unknown): string | null => {
  try {
    act();
    return null;
  } catch (error) {
    if (!(error instanceof ReplayRefused)) throw error;
    return error.reason;
  }
};

test('a run may last half an hour and not a tick longer', () => {
  expect(MAX_RUN_TICKS).toBe(ticksOf(30 * 60));
  const half = MAX_RUN_TICKS / 2;
  const long = run({
    inputs: [
      [half, 0, 0, 0],
      [half, 0, 0, 0],
    ],
  });
  expect(ticksOfRun(COURSE, long)).toBe(MAX_RUN_TICKS);
  const longer = run({ inputs: [...long.inputs, [1, 0, 0, 0]] });
  expect(reasonOf(() => ticksOfRun(COURSE, longer))).toBe('too-long');
});

test('a run of another simulation or another course is refused, and told apart', () => {
  expect(reasonOf(() => verifyRun(COURSE, run({ core: CORE_VERSION + 1 }), () => true))).toBe(
    'other-core',
  );
  expect(reasonOf(() => verifyRun(COURSE, run({ course: 'ff' }), () => true))).toBe('other-course');
});

test('what never reaches the goal is worth nothing', () => {
  expect(verifyRun(COURSE, run({ inputs: [[600, -16, 0, 0]] }), () => true)).toBeNull();
});

test('inputs after the goal change nothing of what a run is worth', () => {
  const finished = verifyRun(COURSE, run({ inputs: [[300, 16, 0, 0]] }), () => true);
  const more = run({
    inputs: [
      [300, 16, 0, 0],
      [500, -16, 0, 1],
    ],
  });
  expect(finished).not.toBeNull();
  expect(verifyRun(COURSE, more, () => true)).toEqual(finished);
});
