import type { Run } from '@/core/run';
import type { KeptAttempt } from '../../state/attempts';
import { bestOf, proofKnown, rivalOf, runsKnown } from './runsKnown';

const kept = (at: number, time: number, change: Partial<KeptAttempt> = {}): KeptAttempt => ({
  course: 'a',
  at,
  run: { course: 'now', claim: time, inputs: [] } as unknown as Run,
  finished: true,
  time,
  falls: 0,
  end: [0, 0, 0],
  parts: [],
  ...change,
});
const ALL = [
  kept(4, 33, { finished: false }),
  kept(3, 20, { from: [0, 0, 0] }),
  kept(2, 31),
  kept(1, 10, { run: { course: 'before' } as Run }),
  kept(0, 35),
];
const PROOF = { course: 'now', claim: 30, inputs: [[9, 16, 0, 0]] } as unknown as Run;

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
  const proof = proofKnown(PROOF);
  const [, , best, first] = runs;
  expect(rivalOf(first, 'best', best, proof)).toBe(best);
  expect(rivalOf(best, 'best', best, proof)).toBeNull();
  expect(rivalOf(best, 'proof', best, proof)).toBe(proof);
  expect(rivalOf(first, 'none', best, proof)).toBeNull();
  expect(rivalOf(runs[0], 'best', null, proof)).toBe(proof);
  // The proof is often one of the attempts that were kept.
  const copy = structuredClone(PROOF);
  expect(rivalOf({ ...first, run: copy }, 'proof', best, proof)).toBeNull();
});
