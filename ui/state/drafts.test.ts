import { emptyCourse } from '@/core/course';
import { useKeptHere } from './keptHere';
import { dropDraft, dropResting, keepDraft, leaveDraft, readDraft, restingDrafts } from './drafts';

const mockKept = new Map<string, { tab: string; at: number }>();
const mockOpen = new Set<string>();
jest.mock('idb-keyval', () => ({
  createStore: () => null,
  entries: jest.fn(async () => [...mockKept]),
  set: jest.fn(async (key: string, draft: never) => void mockKept.set(key, draft)),
  get: jest.fn(async (key: string) => mockKept.get(key)),
  delMany: jest.fn(async (keys: string[]) => keys.forEach((key) => mockKept.delete(key))),
}));
jest.mock('./tabId', () => ({ TAB: 'here', otherTabs: async () => mockOpen }));

const left = new Map<string, string>();
beforeEach(() => {
  mockKept.clear();
  mockOpen.clear();
  left.clear();
  const localStorage = {
    get length() {
      return left.size;
    },
    key: (i: number) => [...left.keys()][i] ?? null,
    getItem: (key: string) => left.get(key) ?? null,
    setItem: (key: string, value: string) => void left.set(key, value),
    removeItem: (key: string) => void left.delete(key),
  };
  Object.assign(globalThis, { localStorage });
});
const draft = (name: string) => ({ revision: 4, course: emptyCourse(name) });
const nameOf = async (id: string) => (await readDraft(id))?.course.name;

/** A draft another tab wrote so long ago, ms. */
async function fromTab(tab: string, id: string, name: string, ago: number): Promise<void> {
  const own = mockKept.get(`${id} here`);
  await keepDraft(id, draft(name));
  const kept = { ...mockKept.get(`${id} here`)!, tab, at: Date.now() - ago };
  mockKept.delete(`${id} here`);
  if (own) mockKept.set(`${id} here`, own);
  mockKept.set(`${id} ${tab}`, kept);
}

test('what was left on the way out goes before what was kept earlier, and is kept from then on', async () => {
  await keepDraft('a', draft('Earlier'));
  leaveDraft('a', draft('Later'));
  expect(await nameOf('b')).toBeUndefined();
  expect(await nameOf('a')).toBe('Later');
  expect(left.size).toBe(0);
  expect(await nameOf('a')).toBe('Later');
});

test('a draft kept or dropped afterwards makes what was left out of date', async () => {
  leaveDraft('a', draft('Left'));
  await keepDraft('a', draft('Newer'));
  expect(await nameOf('a')).toBe('Newer');
  leaveDraft('a', draft('Left'));
  await dropDraft('b');
  expect(await nameOf('a')).toBe('Left');
  leaveDraft('a', draft('Left'));
  await dropDraft('a');
  expect(await nameOf('a')).toBeUndefined();
});

test('the newest draft of tabs that are gone is offered, and becomes this one’s', async () => {
  await fromTab('old', 'a', 'Older', 9000);
  await fromTab('gone', 'a', 'Newest', 100);
  await fromTab('gone', 'b', 'Another course', 10);
  expect(await nameOf('a')).toBe('Newest');
  expect([...mockKept.keys()].sort()).toEqual(['a here', 'a old', 'b gone']);
  // Once it is on the server the older one is still there to be asked about.
  await dropDraft('a');
  expect(await nameOf('a')).toBe('Older');
});

test('an older draft of this tab is not written over by a newer of another', async () => {
  await keepDraft('a', draft('Mine'));
  await fromTab('gone', 'a', 'Newer', -1000);
  expect(await nameOf('a')).toBe('Newer');
  await dropDraft('a');
  expect(await nameOf('a')).toBe('Mine');
});

test('a tab that is open has its drafts to itself', async () => {
  await fromTab('there', 'a', 'Being edited there', 10);
  mockOpen.add('there');
  expect(await nameOf('a')).toBeUndefined();
  await keepDraft('a', draft('Here'));
  expect(mockKept.size).toBe(2);
  expect(await nameOf('a')).toBe('Here');
  await dropDraft('a');
  expect([...mockKept.keys()]).toEqual(['a there']);
});

test('where nothing can be stored editing goes on all the same', async () => {
  localStorage.setItem = () => {
    throw new Error('No room.');
  };
  localStorage.removeItem = () => {
    throw new Error('Forbidden.');
  };
  expect(() => leaveDraft('a', draft('Left'))).not.toThrow();
  left.set('stonehop-leaving a here', '{broken');
  expect(await readDraft('a')).toBeUndefined();
});

test('an edit reads nothing of what was left', async () => {
  leaveDraft('a', draft('Left'));
  const read = jest.spyOn(localStorage, 'getItem');
  await keepDraft('a', draft('Newer'));
  expect(read).not.toHaveBeenCalled();
});

describe('drafts at rest', () => {
  const told = async () =>
    (await restingDrafts()).map(({ id, course }) => `${id}: ${course.name}`).sort();

  test('are the newest of each course, but what another tab has open', async () => {
    await fromTab('gone', 'a', 'Older', 2000);
    await fromTab('gone too', 'a', 'Newer', 1000);
    await fromTab('busy', 'b', 'In hand', 10);
    mockOpen.add('busy');
    await keepDraft('c', draft('Here'));
    expect(await told()).toEqual(['a: Newer', 'c: Here']);
  });

  test('what was left on the way out is newer than what was kept before', async () => {
    await keepDraft('a', draft('Kept'));
    leaveDraft('a', draft('Left'));
    leaveDraft('b c', draft('Left as well'));
    expect(await told()).toEqual(['a: Left', 'b c: Left as well']);
    expect(left.size).toBe(0);
  });

  test('one that is written anew while it is sent stays', async () => {
    await keepDraft('a', draft('Sent'));
    const [sent] = await restingDrafts();
    mockKept.set('a here', { ...sent, at: sent.at + 1 });
    await dropResting(sent);
    expect(await told()).toEqual(['a: Sent']);
    const [now] = await restingDrafts();
    await dropResting(now);
    expect(await told()).toEqual([]);
  });
});

test('whether a draft is kept is said, and what was left on the way out stays where it is not', async () => {
  const { set } = jest.requireMock<typeof import('idb-keyval')>('idb-keyval');
  jest.mocked(set).mockRejectedValueOnce(new DOMException('full', 'QuotaExceededError'));
  leaveDraft('a', draft('Left'));
  expect(await keepDraft('a', draft('Refused'))).toBe(false);
  expect(useKeptHere.getState().fails).toBe(true);
  expect(left.size).toBe(1);
  expect(await keepDraft('a', draft('Kept'))).toBe(true);
  expect(useKeptHere.getState().fails).toBe(false);
  expect(left.size).toBe(0);
});
