import type { Run } from '@/core/run';
import type { KeptAttempt } from '../../state/attempts';
import { RUN_FILTERS, usefulFilters } from '../times/runFilter';
import { bestOf, proofKnown, runsBeside, runsKnown } from './runsKnown';

const kept = (at: number, time: number, change: Partial<KeptAttempt> = {}): KeptAttempt => ({
  course: 'a',
  at,
  run: { course: 'now', claim: time, inputs: [] } as unknown as Run,
  finished: true,
  time,
  falls: 0,
  ends: [],
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

test('a run is held against what was picked, each once, and never against itself', () => {
  const runs = runsKnown(ALL, 'now');
  const proof = proofKnown(PROOF);
  const [, , best, first] = runs;
  const find = (key: string) =>
    key === 'best' ? best : ([...runs, proof].find((run) => run.key === key) ?? null);
  expect(runsBeside(first, ['best', 'proof', 'gone'], find)).toEqual([best, proof]);
  expect(runsBeside(best, ['best', best.key], find)).toEqual([]);
  expect(runsBeside(first, [best.key, 'best'], find)).toEqual([best]);
  expect(runsBeside(first, [], find)).toEqual([]);
  // The proof is often one of the attempts that were kept.
  const copy = structuredClone(PROOF);
  expect(runsBeside({ ...first, run: copy }, ['proof'], find)).toEqual([]);
});

test('only what tells some runs from others is offered to look by', () => {
  const runs = runsKnown(ALL, 'now');
  expect(usefulFilters(runs)).toEqual(['all', 'arrived', 'clean', 'ended']);
  expect(usefulFilters(runs.filter(({ finished }) => finished))).toEqual(['all', 'arrived']);
  expect(usefulFilters([])).toEqual(['all']);
  expect(runs.filter(RUN_FILTERS.arrived.takes).map(({ name }) => name)).toEqual([
    'Run 3',
    'Run 1',
  ]);
  expect(runs.filter(RUN_FILTERS.ended.takes).map(({ name }) => name)).toEqual(['Run 5']);
});
