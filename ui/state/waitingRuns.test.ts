import { QueryClient } from '@tanstack/react-query';
import type { Run } from '@/core/run';
import { showToast } from '../parts';
import { api, ApiError } from './api';
import { sendRun, sendWaiting, type WaitingRun } from './waitingRuns';

const mockKept = new Map<string, unknown>();
jest.mock('idb-keyval', () => ({
  createStore: () => null,
  entries: jest.fn(async () => [...mockKept]),
  set: jest.fn(async (key: string, run: unknown) => void mockKept.set(key, run)),
  del: jest.fn(async (key: string) => void mockKept.delete(key)),
}));
jest.mock('../parts', () => ({ showToast: jest.fn(() => () => {}) }));

const send = jest.spyOn(api, 'sendRun');
const client = new QueryClient();
const waiting = (attempt: string): WaitingRun => ({
  slug: 'quay',
  attempt,
  open: true,
  run: {} as Run,
});
const answer = { time: 5.25, place: 2, best: [] };

beforeEach(() => {
  mockKept.clear();
  send.mockReset();
  jest.mocked(showToast).mockReset();
});

test('a run is on the device before it is sent, and goes once the server has it', async () => {
  send.mockImplementation(async () => {
    expect([...mockKept.keys()]).toEqual(['a']);
    return answer;
  });
  expect(await sendRun(waiting('a'))).toBe(answer);
  expect(mockKept.size).toBe(0);
});

test.each([0, 429, 500, 503])('after a %i it waits', async (status) => {
  send.mockRejectedValueOnce(new ApiError(status, 'x', 'x'));
  await expect(sendRun(waiting('a'))).rejects.toThrow();
  expect([...mockKept.keys()]).toEqual(['a']);
});

test('what the server will never take is let go, a name that is taken is not the run’s fault', async () => {
  send.mockRejectedValueOnce(new ApiError(409, 'other-version', 'x'));
  await expect(sendRun(waiting('a'))).rejects.toThrow();
  expect(mockKept.size).toBe(0);
  send.mockRejectedValueOnce(new ApiError(409, 'name-taken', 'x'));
  await expect(sendRun(waiting('b'))).rejects.toThrow();
  expect([...mockKept.keys()]).toEqual(['b']);
});

test('what waited is sent when it can be, each told of, until the server is away again', async () => {
  for (const attempt of ['a', 'b', 'c', 'd']) mockKept.set(attempt, waiting(attempt));
  send.mockResolvedValueOnce(answer);
  send.mockRejectedValueOnce(new ApiError(409, 'other-version', 'The course has changed.'));
  send.mockRejectedValueOnce(new ApiError(0, 'offline', 'x'));
  await sendWaiting(client);
  expect([...mockKept.keys()]).toEqual(['c', 'd']);
  expect(jest.mocked(showToast).mock.calls.map(([words]) => words)).toEqual([
    expect.stringContaining('5.250 s, place 2'),
    expect.stringContaining('The course has changed.'),
  ]);
});

test('two callers at once send each run once', async () => {
  mockKept.set('a', waiting('a'));
  send.mockResolvedValue(answer);
  await Promise.all([sendWaiting(client), sendWaiting(client)]);
  expect(send).toHaveBeenCalledTimes(1);
});
