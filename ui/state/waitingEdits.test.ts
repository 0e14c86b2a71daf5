import type { QueryClient } from '@tanstack/react-query';
import { emptyCourse } from '@/core/course';
import { ApiError, api } from './api';
import { useCourse } from './courseStore';
import type { KeptDraft } from './drafts';
import { sendEdits } from './waitingEdits';

const mockDrafts: KeptDraft[] = [];
jest.mock('./drafts', () => ({
  restingDrafts: async () => [...mockDrafts],
  dropResting: async (draft: KeptDraft) => void mockDrafts.splice(mockDrafts.indexOf(draft), 1),
}));
const mockSaid: string[] = [];
jest.mock('../parts', () => ({ showToast: (words: string) => void mockSaid.push(words) }));
jest.mock('./saving', () => ({ queueOf: () => undefined }));

const client = { invalidateQueries: async () => undefined } as unknown as QueryClient;
const draft = (id: string, revision: number, at = 1): KeptDraft => ({
  ...{ id, revision, at, tab: 'here' },
  course: emptyCourse(`Course ${id}`),
});
const create = jest.spyOn(api, 'create');
const save = jest.spyOn(api, 'save');

beforeEach(() => {
  mockDrafts.length = 0;
  mockSaid.length = 0;
  create.mockReset().mockResolvedValue({} as never);
  save.mockReset().mockResolvedValue({} as never);
});

test('edits go over the revision they were made from, new courses as new, and both are let go', async () => {
  mockDrafts.push(draft('a', 3), draft('b', 0));
  await sendEdits(client);
  expect(save.mock.calls.map(([id, revision]) => [id, revision])).toEqual([['a', 3]]);
  expect(create.mock.calls.map(([id]) => id)).toEqual(['b']);
  expect(mockDrafts).toEqual([]);
});

test('what is open is left alone', async () => {
  useCourse.getState().open('open', 2, emptyCourse('Open'), { kind: 'unsaved' });
  mockDrafts.push(draft('open', 2));
  await sendEdits(client);
  expect(save).not.toHaveBeenCalled();
  expect(mockDrafts).toHaveLength(1);
});

test('out of reach everything waits, and nothing more is asked', async () => {
  save.mockRejectedValue(new ApiError(0, 'offline', 'Away.'));
  mockDrafts.push(draft('c', 1), draft('d', 1));
  await sendEdits(client);
  expect(save).toHaveBeenCalledTimes(1);
  expect(mockDrafts).toHaveLength(2);
  expect(mockSaid).toEqual([]);
});

test('what was changed elsewhere too is said once and stays; the others go on', async () => {
  save.mockImplementation(async (id) => {
    if (id === 'e') throw new ApiError(409, 'stale', 'Saved elsewhere.');
    return {} as never;
  });
  mockDrafts.push(draft('e', 1, 77), draft('f', 1));
  await sendEdits(client);
  await sendEdits(client);
  expect(mockDrafts.map(({ id }) => id)).toEqual(['e']);
  expect(mockSaid).toHaveLength(1);
  expect(mockSaid[0]).toContain('Course e');
  expect(save.mock.calls.filter(([id]) => id === 'e')).toHaveLength(1);
});

test('whose course it no longer is hears nothing of it', async () => {
  save.mockRejectedValue(new ApiError(404, 'not-found', 'Not here.'));
  mockDrafts.push(draft('g', 4, 5));
  await sendEdits(client);
  expect(mockSaid).toEqual([]);
});
