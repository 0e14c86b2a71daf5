import { emptyCourse } from '@/core/course';
import type { CourseListed } from '@/core/protocol';
import { ApiError, api } from './api';
import type { KeptDraft } from './drafts';
import { createCourse, dropUnsent, withUnsent } from './unsent';

const mockDrafts: KeptDraft[] = [];
const mockBrowser = { keeps: true };
jest.mock('./drafts', () => ({
  restingDrafts: async () => [...mockDrafts],
  keepDraft: async (id: string, draft: object) => {
    if (mockBrowser.keeps) mockDrafts.push({ id, tab: 'here', at: 9, ...draft } as KeptDraft);
    return mockBrowser.keeps;
  },
  dropDraft: async () => undefined,
  dropResting: async (draft: KeptDraft) => void mockDrafts.splice(mockDrafts.indexOf(draft), 1),
}));

const listed = (id: string, revision: number, changed: number): CourseListed => ({
  ...{ id, revision, changed, name: id, kind: 'point', runner: 'hopper', pieces: 4, length: 20 },
  ...{ proof: null, published: null, folder: null, tags: [] },
});
const draft = (id: string, revision: number, at: number, name = id): KeptDraft => ({
  ...{ id, revision, at, tab: 'here' },
  course: emptyCourse(name),
});

beforeEach(() => {
  mockDrafts.length = 0;
  jest.restoreAllMocks();
});

test('what is newer here is told as it is here, and what was begun here comes first', async () => {
  mockDrafts.push(draft('known', 3, 20, 'Named here'), draft('begun', 0, 50, 'Begun here'));
  const all = await withUnsent([listed('other', 1, 30), listed('known', 3, 10)]);
  expect(all.map(({ name }) => name)).toEqual(['Begun here', 'other', 'Named here']);
  expect(all.map(({ here }) => here !== undefined)).toEqual([true, false, true]);
  // What the server knows of it stays known.
  expect(all[2]).toMatchObject({ id: 'known', revision: 3 });
});

test('a draft of an older revision says nothing of the course, nor one of a course that is gone', async () => {
  mockDrafts.push(draft('known', 2, 90), draft('gone', 4, 95));
  expect(await withUnsent([listed('known', 3, 10)])).toEqual([listed('known', 3, 10)]);
});

test('a new course is kept by the server, or here where it is out of reach; what is refused is nowhere', async () => {
  const create = jest.spyOn(api, 'create');
  create.mockResolvedValueOnce({} as never);
  const ids = [(await createCourse(emptyCourse('One'))).id];
  expect(mockDrafts).toEqual([]);
  create.mockRejectedValueOnce(new ApiError(0, 'offline', 'Away.'));
  ids.push((await createCourse(emptyCourse('Two'))).id);
  expect(mockDrafts).toMatchObject([{ id: ids[1], revision: 0, course: { name: 'Two' } }]);
  create.mockRejectedValueOnce(new ApiError(400, 'broken', 'No.'));
  await expect(createCourse(emptyCourse('Three'))).rejects.toThrow('No.');
  expect(mockDrafts).toHaveLength(1);
  for (const id of ids) expect(id).toMatch(/^[\w-]{12}$/);
  expect(ids[0]).not.toBe(ids[1]);
  await dropUnsent(ids[1]);
  expect(mockDrafts).toEqual([]);
});

test('where neither the server nor the browser keeps it, a new course is said not to be begun', async () => {
  jest.spyOn(api, 'create').mockRejectedValue(new ApiError(0, 'offline', 'Away.'));
  mockBrowser.keeps = false;
  await expect(createCourse(emptyCourse('Four'))).rejects.toThrow('this browser keeps nothing');
  mockBrowser.keeps = true;
  await expect(createCourse(emptyCourse('Four'))).resolves.toBeDefined();
});
