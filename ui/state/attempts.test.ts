import type { Run, RunResult } from '@/core/run';
import { digestOf } from '@/core/timing';
import { attemptsAt, keepAttempt, MOST_ATTEMPTS } from './attempts';

const mockKept = new Map<string, unknown>();
let mockForbidden = false;
jest.mock('idb-keyval', () => ({
  createStore: () => null,
  keys: jest.fn(async () => {
    if (mockForbidden) throw new Error('no storage');
    return [...mockKept.keys()];
  }),
  getMany: jest.fn(async (keys: string[]) => keys.map((key) => mockKept.get(key))),
  set: jest.fn(async (key: string, value: unknown) => {
    if (mockForbidden) throw new Error('no storage');
    mockKept.set(key, value);
  }),
  delMany: jest.fn(async (keys: string[]) => keys.forEach((key) => mockKept.delete(key))),
}));

beforeEach(() => {
  mockKept.clear();
  mockForbidden = false;
});
const ended = (time: number) => ({
  run: { claim: time } as Run,
  digest: digestOf({
    finished: true,
    time,
    falls: 2,
    events: [],
    splits: [],
    rounds: [],
    path: Float64Array.from([0, 0, 0, 4, 1, 2]),
  } as unknown as RunResult),
  begun: {},
});

test('attempts come back the latest first, each course’s own, with where they ended', async () => {
  await keepAttempt('a', ended(30), 1000);
  await keepAttempt('b', ended(50), 1500);
  await keepAttempt('a', ended(29), 2000);
  const kept = await attemptsAt('a');
  expect(kept.map(({ time }) => time)).toEqual([29, 30]);
  expect(kept[0]).toMatchObject({ ends: [], falls: 2, finished: true });
  expect(kept[0].parts).toEqual([{ key: 'goal', name: 'Lantern', at: 29, time: 29 }]);
});

test('no more are kept than there is room for, and another course’s are left alone', async () => {
  await keepAttempt('b', ended(1), 1);
  for (let i = 0; i < MOST_ATTEMPTS + 5; i++) await keepAttempt('a', ended(i), 1000 + i);
  const kept = await attemptsAt('a');
  expect(kept).toHaveLength(MOST_ATTEMPTS);
  expect(kept.at(-1)!.time).toBe(5);
  expect(await attemptsAt('b')).toHaveLength(1);
});

test('where the browser forbids storage nothing is kept and nothing breaks', async () => {
  mockForbidden = true;
  await keepAttempt('a', ended(30));
  expect(await attemptsAt('a')).toEqual([]);
});
