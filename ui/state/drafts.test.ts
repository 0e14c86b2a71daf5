import { emptyCourse } from '@/core/course';
import { dropDraft, keepDraft, leaveDraft, readDraft } from './drafts';

const mockKept = new Map<string, unknown>();
jest.mock('idb-keyval', () => ({
  createStore: () => null,
  get: jest.fn(async (id: string) => mockKept.get(id)),
  set: jest.fn(async (id: string, draft: unknown) => void mockKept.set(id, draft)),
  del: jest.fn(async (id: string) => void mockKept.delete(id)),
}));

const left = new Map<string, string>();
beforeEach(() => {
  mockKept.clear();
  left.clear();
  Object.assign(globalThis, {
    localStorage: {
      getItem: (key: string) => left.get(key) ?? null,
      setItem: (key: string, value: string) => void left.set(key, value),
      removeItem: (key: string) => void left.delete(key),
    },
  });
});
const draft = (name: string) => ({ revision: 4, course: emptyCourse(name) });

test('what was left on the way out goes before what was kept earlier, and is kept from then on', async () => {
  await keepDraft('a', draft('Earlier'));
  leaveDraft('a', draft('Later'));
  expect((await readDraft('b'))?.course.name).toBeUndefined();
  expect((await readDraft('a'))?.course.name).toBe('Later');
  expect(left.size).toBe(0);
  expect((await readDraft('a'))?.course.name).toBe('Later');
});

test('a draft kept or dropped afterwards makes what was left out of date', async () => {
  leaveDraft('a', draft('Left'));
  await keepDraft('a', draft('Newer'));
  expect((await readDraft('a'))?.course.name).toBe('Newer');
  leaveDraft('a', draft('Left'));
  await dropDraft('b');
  expect((await readDraft('a'))?.course.name).toBe('Left');
  leaveDraft('a', draft('Left'));
  await dropDraft('a');
  expect(await readDraft('a')).toBeUndefined();
});

test('where nothing can be stored editing goes on all the same', async () => {
  localStorage.setItem = () => {
    throw new Error('No room.');
  };
  expect(() => leaveDraft('a', draft('Left'))).not.toThrow();
  left.set('stonehop-leaving', '{broken');
  expect(await readDraft('a')).toBeUndefined();
});
