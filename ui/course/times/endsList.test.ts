import type { Run } from '@/core/run';
import { endsByMark } from './EndsList';
import type { KnownRun } from '../runs/runsKnown';
import { wantedRuns } from '../runs/useRunLines';

jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('@/workers/timing', () => ({}));

const run = (key: string, finished: boolean, ...passed: string[]): KnownRun => ({
  ...{ key, name: key, run: {} as Run, finished, time: 1, falls: 0, at: 1, ends: [] },
  parts: passed.map((name) => ({ key: name, name, at: 1, time: 1 })),
});

test('tries are counted by the mark passed last, those that got there not at all', () => {
  const runs = [
    run('a', false, 'Cairn 1'),
    run('b', false),
    run('c', false, 'Cairn 1', 'Cairn 2'),
    run('d', false, 'Cairn 1'),
    run('e', true, 'Cairn 1', 'Lantern'),
  ];
  expect(endsByMark(runs)).toEqual([
    { words: 'after cairn 1', count: 2 },
    { words: 'after the start', count: 1 },
    { words: 'after cairn 2', count: 1 },
  ]);
  expect(endsByMark([])).toEqual([]);
});

test('lines are wanted of the last ten and of chosen ones, of each once', () => {
  const runs = Array.from({ length: 14 }, (_, i) => run(String(i), true));
  const find = (key: string) => runs.find((one) => one.key === key) ?? null;
  const keys = (last: boolean, lines: string[]) =>
    wantedRuns(runs, last, lines, find).map(({ key }) => key);
  expect(keys(false, [])).toEqual([]);
  expect(keys(true, ['3', '12', 'gone'])).toEqual([
    ...['0', '1', '2', '3', '4', '5', '6', '7', '8', '9'],
    '12',
  ]);
  expect(keys(false, ['12', '12'])).toEqual(['12']);
});
