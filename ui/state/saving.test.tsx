import { act, renderHook } from '@testing-library/react-native';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { PropsWithChildren } from 'react';
import { emptyCourse } from '@/core/course';
import { api, ApiError } from './api';
import { useCourse } from './courseStore';
import { dropDraft, keepDraft } from './drafts';
import { useHand } from './hand';
import { useAutosave } from './saving';

jest.mock('../parts', () => ({ tell: jest.fn() }));
jest.mock('./drafts', () => ({
  keepDraft: jest.fn(async () => {}),
  dropDraft: jest.fn(async () => {}),
  leaveDraft: jest.fn(),
  readDraft: jest.fn(async () => undefined),
}));

const save = jest.spyOn(api, 'save');
const state = () => useCourse.getState();
const rename = (name: string) => act(() => state().edit((course) => ({ ...course, name })));
const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));

beforeEach(() => {
  jest.useFakeTimers();
  jest.clearAllMocks();
  save.mockReset();
  Object.assign(window, { addEventListener: jest.fn(), removeEventListener: jest.fn() });
  state().open('a', 1, emptyCourse('Trial'), { kind: 'saved', at: 0 });
  const wrapper = ({ children }: PropsWithChildren) => (
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { gcTime: 0 } } })}>
      {children}
    </QueryClientProvider>
  );
  renderHook(() => useAutosave(), { wrapper });
});
afterEach(() => jest.useRealTimers());

test('an edit is kept at once and sent after a pause, once for many', async () => {
  save.mockResolvedValue({ revision: 2, changed: 5 });
  for (const name of ['One', 'Two', 'Three']) rename(name);
  expect(keepDraft).toHaveBeenCalledTimes(3);
  expect(save).not.toHaveBeenCalled();
  await pass(800);
  expect(save).toHaveBeenCalledTimes(1);
  expect(save.mock.calls[0].slice(0, 2)).toEqual(['a', 1]);
  expect([state().revision, state().save]).toEqual([2, { kind: 'saved', at: 5 }]);
  expect(dropDraft).toHaveBeenCalledWith('a');
});

test('an edit made while a save is on its way is sent next, from the new revision', async () => {
  let finish: (answer: { revision: number; changed: number }) => void = () => {};
  save.mockReturnValueOnce(new Promise((resolve) => (finish = resolve)));
  save.mockResolvedValue({ revision: 3, changed: 6 });
  rename('One');
  await pass(800);
  rename('Two');
  finish({ revision: 2, changed: 5 });
  await pass(1600);
  expect(save.mock.calls.map(([, revision, course]) => [revision, course.name])).toEqual([
    [1, 'One'],
    [2, 'Two'],
  ]);
  expect(state().save.kind).toBe('saved');
});

test('without a server it tries again until it gets through', async () => {
  save.mockRejectedValueOnce(new ApiError(0, 'offline', 'x'));
  save.mockRejectedValueOnce(new ApiError(500, 'fault', 'x'));
  save.mockResolvedValue({ revision: 2, changed: 5 });
  rename('One');
  await pass(800);
  expect(state().save.kind).toBe('offline');
  expect(dropDraft).not.toHaveBeenCalled();
  await pass(6000);
  expect(save).toHaveBeenCalledTimes(3);
  expect(state().save.kind).toBe('saved');
});

test('a conflict waits for the maker, a refusal says why', async () => {
  const theirs = { revision: 7, course: emptyCourse('Theirs') };
  save.mockRejectedValueOnce(new ApiError(409, 'stale', 'x', { theirs }));
  rename('One');
  await pass(5000);
  expect(save).toHaveBeenCalledTimes(1);
  expect(state().save).toEqual({ kind: 'conflict', theirs });
  save.mockRejectedValueOnce(new ApiError(413, 'too-large', 'Too large.'));
  rename('Two');
  await pass(800);
  expect(state().save).toEqual({ kind: 'refused', message: 'Too large.' });
});

test('within a drag the draft waits, and is written when the hand lets go', async () => {
  save.mockResolvedValue({ revision: 2, changed: 5 });
  useHand.setState({ dragging: true });
  for (const name of ['One', 'Two', 'Three']) rename(name);
  expect(keepDraft).not.toHaveBeenCalled();
  act(() => useHand.setState({ dragging: false }));
  expect(keepDraft).toHaveBeenCalledTimes(1);
  expect(jest.mocked(keepDraft).mock.calls[0][1].course.name).toBe('Three');
});
