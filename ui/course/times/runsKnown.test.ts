import type { Run } from '@/core/run';
import type { KeptAttempt } from '../../state/attempts';
import { bestOf, rivalOf, runsKnown } from './runsKnown';

const kept = (at: number, time: number, change: Partial<KeptAttempt> = {}): KeptAttempt => ({
  course: 'a',
  at,
  run: { course: 'now', claim: time } as Run,
  finished: true,
  time,
  falls: 0,
  fromStart: true,
  end: [0, 0, 0],
  parts: [],
  ...change,
});
const ALL = [
  kept(4, 33, { finished: false }),
  kept(3, 20, { fromStart: false }),
  kept(2, 31),
  kept(1, 10, { run: { course: 'before' } as Run }),
  kept(0, 35),
];
const PROOF = { course: 'now', claim: 30 } as Run;

test('runs of the course as it was are left out, and numbers stay', () => {
  expect(runsKnown(ALL, 'now').map(({ name }) => name)).toEqual([
    'Run 5',
    'Run 4',
    'Run 3',
    'Run 1',
  ]);
});

test('the best is the quickest from start to goal', () => {
  expect(bestOf(runsKnown(ALL, 'now'))?.name).toBe('Run 3');
  expect(bestOf([])).toBeNull();
});

test('a run is held against the best, the proof, or nothing, and never against itself', () => {
  const runs = runsKnown(ALL, 'now');
  const [, , best, first] = runs;
  expect(rivalOf(first, 'best', runs, PROOF)).toBe(best.run);
  expect(rivalOf(best, 'best', runs, PROOF)).toBeNull();
  expect(rivalOf(best, 'proof', runs, PROOF)).toBe(PROOF);
  expect(rivalOf(first, 'none', runs, PROOF)).toBeNull();
  expect(rivalOf(runs[0], 'best', runs.slice(0, 2), PROOF)).toBe(PROOF);
});
