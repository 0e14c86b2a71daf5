import { act, renderHook } from '@testing-library/react-native';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { PropsWithChildren } from 'react';
import { emptyCourse, modelId, packMesh } from '@/core/course';
import { showToast } from '../parts';
import { api, ApiError } from './api';
import { useCourse } from './courseStore';
import { dropDraft, keepDraft } from './drafts';
import { useDragState } from '../device/dragState';
import { forgetEdits, keepMine, useAutosave } from './saving';

jest.mock('../parts', () => ({ showToast: jest.fn(() => () => {}) }));
jest.mock('./drafts', () => ({
  keepDraft: jest.fn(async () => {}),
  dropDraft: jest.fn(async () => {}),
  leaveDraft: jest.fn(),
  readDraft: jest.fn(async () => undefined),
}));

const save = jest.spyOn(api, 'save');
const state = () => useCourse.getState();
const rename = (name: string) => act(() => state().edit((course) => ({ ...course, name })));
let count = 0;
let id = '';
const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));

beforeEach(() => {
  jest.useFakeTimers();
  jest.clearAllMocks();
  save.mockReset();
  Object.assign(window, { addEventListener: jest.fn(), removeEventListener: jest.fn() });
  // Each test has a course of its own: what waits of another goes on waiting.
  id = `course ${++count}`;
  state().open(id, 1, emptyCourse('Trial'), { kind: 'saved', at: 0 });
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
  expect(save.mock.calls[0].slice(0, 2)).toEqual([id, 1]);
  expect([state().revision, state().save]).toEqual([2, { kind: 'saved', at: 5 }]);
  expect(dropDraft).toHaveBeenCalledWith(id);
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

test('a conflict waits for the maker; what is here then goes over what is there', async () => {
  const theirs = { revision: 7, course: emptyCourse('Theirs') };
  save.mockRejectedValueOnce(new ApiError(409, 'stale', 'x', { theirs }));
  rename('One');
  await pass(5000);
  rename('Two');
  await pass(5000);
  expect(save).toHaveBeenCalledTimes(1);
  expect(state().save).toEqual({ kind: 'conflict', theirs });
  // Kept on the device all the while.
  expect(jest.mocked(keepDraft).mock.lastCall![1].course.name).toBe('Two');
  expect(dropDraft).not.toHaveBeenCalled();
  save.mockResolvedValue({ revision: 8, changed: 9 });
  act(() => keepMine(id));
  await pass(0);
  expect(save.mock.lastCall!.slice(1)).toMatchObject([7, { name: 'Two' }]);
  expect(state().save).toEqual({ kind: 'saved', at: 9 });
});

test('what is there taken, nothing of what was here is sent any more', async () => {
  const theirs = { revision: 7, course: emptyCourse('Theirs') };
  save.mockRejectedValueOnce(new ApiError(409, 'stale', 'x', { theirs }));
  rename('One');
  await pass(5000);
  await act(() => forgetEdits(id));
  act(() => state().open(id, 7, theirs.course, { kind: 'saved', at: 0 }));
  await pass(60_000);
  expect(save).toHaveBeenCalledTimes(1);
  save.mockResolvedValue({ revision: 8, changed: 9 });
  rename('After');
  await pass(800);
  expect(save.mock.lastCall!.slice(1)).toMatchObject([7, { name: 'After' }]);
});

test('a refusal says why, and the next edit is tried', async () => {
  save.mockRejectedValueOnce(new ApiError(413, 'too-large', 'Too large.'));
  rename('One');
  await pass(800);
  expect(state().save).toEqual({ kind: 'refused', message: 'Too large.' });
  expect(showToast).toHaveBeenCalledWith(expect.stringContaining('Too large.'));
  save.mockResolvedValue({ revision: 2, changed: 5 });
  rename('Two');
  await pass(800);
  expect(state().save.kind).toBe('saved');
});

test('a course that is left goes on being saved, and is told of where it is', async () => {
  let finish: (answer: { revision: number; changed: number }) => void = () => {};
  save.mockReturnValueOnce(new Promise((resolve) => (finish = resolve)));
  save.mockResolvedValue({ revision: 3, changed: 6 });
  rename('One');
  await pass(800);
  rename('Two');
  const left = id;
  act(() => state().open(`${id} next`, 5, emptyCourse('Next'), { kind: 'saved', at: 1 }));
  await act(async () => finish({ revision: 2, changed: 5 }));
  await pass(1600);
  expect(save.mock.calls.map(([of, from, course]) => [of, from, course.name])).toEqual([
    [left, 1, 'One'],
    [left, 2, 'Two'],
  ]);
  expect(dropDraft).toHaveBeenCalledWith(left);
  // Nothing of it shows in what is open now.
  expect([state().revision, state().save]).toEqual([5, { kind: 'saved', at: 1 }]);
});

test('models that nothing is made of are not sent, and stay for undo', async () => {
  save.mockResolvedValue({ revision: 2, changed: 5 });
  const mesh = packMesh([0, 0, 0, 1, 0, 0, 0, 1, 0], [0, 1, 2]);
  const models = { [modelId(mesh)]: { name: 'Rock', ...mesh } };
  act(() => state().edit((course) => ({ ...course, models })));
  await pass(800);
  expect(save.mock.lastCall![2]).not.toHaveProperty('models');
  expect(state().course.models).toEqual(models);
});

test('within a drag the draft waits, and is written when the hand lets go', async () => {
  save.mockResolvedValue({ revision: 2, changed: 5 });
  useDragState.setState({ dragging: true });
  for (const name of ['One', 'Two', 'Three']) rename(name);
  expect(keepDraft).not.toHaveBeenCalled();
  act(() => useDragState.setState({ dragging: false }));
  expect(keepDraft).toHaveBeenCalledTimes(1);
  expect(jest.mocked(keepDraft).mock.calls[0][1].course.name).toBe('Three');
});
