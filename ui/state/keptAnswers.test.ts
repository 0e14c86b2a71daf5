import { QueryClient } from '@tanstack/react-query';
import { ApiError } from './api';
import { forgetAnswers, keepAnswer, keptQuery, orKept } from './keptAnswers';

const mockKept = new Map<string, unknown>();
jest.mock('idb-keyval', () => ({
  createStore: () => null,
  get: jest.fn(async (key: string) => mockKept.get(key)),
  set: jest.fn(async (key: string, value: unknown) => void mockKept.set(key, value)),
  clear: jest.fn(async () => mockKept.clear()),
}));

const away = () => Promise.reject(new ApiError(0, 'offline', 'The server cannot be reached.'));
const refused = () => Promise.reject(new ApiError(404, 'not-found', 'The course is not here.'));

beforeEach(() => mockKept.clear());

test('what the server says goes before what it said, and is kept in its place', async () => {
  await keepAnswer('courses', ['old']);
  expect(await orKept('courses', async () => ['new'])).toEqual(['new']);
  expect(await orKept('courses', away)).toEqual(['new']);
});

test('out of reach, and nothing kept: the error is told', async () => {
  await expect(orKept('courses', away)).rejects.toThrow('cannot be reached');
});

test('what the server refuses is refused, whatever it said before', async () => {
  await keepAnswer('course', 'old');
  await expect(orKept('course', refused)).rejects.toThrow('not here');
});

test('nothing of one question is told for another, nor after it is forgotten', async () => {
  await orKept('one', async () => 1);
  await expect(orKept('two', away)).rejects.toThrow();
  await forgetAnswers();
  await expect(orKept('one', away)).rejects.toThrow();
});

test('an answer to who has left meanwhile is not kept for who comes after', async () => {
  let come: (told: string) => void = () => {};
  const told = orKept('me', () => new Promise<string>((resolve) => (come = resolve)));
  await forgetAnswers();
  come('Fenn');
  expect(await told).toBe('Fenn');
  await expect(orKept('me', away)).rejects.toThrow();
});

describe('an answer that does not come', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  test('is not waited for where there is something to go on with, and kept when it comes', async () => {
    await keepAnswer('courses', ['old']);
    let come: (told: string[]) => void = () => {};
    const told = orKept('courses', () => new Promise<string[]>((resolve) => (come = resolve)));
    await jest.advanceTimersByTimeAsync(3900);
    let settled = false;
    void told.then(() => (settled = true));
    await jest.advanceTimersByTimeAsync(0);
    expect(settled).toBe(false);
    await jest.advanceTimersByTimeAsync(200);
    expect(await told).toEqual(['old']);
    come(['new']);
    await jest.advanceTimersByTimeAsync(0);
    expect(mockKept.get('courses')).toEqual(['new']);
  });

  describe('in a query', () => {
    const client = new QueryClient({
      defaultOptions: { queries: { gcTime: Infinity, retry: false } },
    });
    afterEach(() => client.clear());
    /** Asks, and answers when it is told to. */
    const asked = async (key: string) => {
      await keepAnswer(key, { list: ['old'] });
      let come: (told: { list: string[] }) => void = () => {};
      const ask = () => new Promise<{ list: string[] }>((resolve) => (come = resolve));
      const queryKey = [key];
      const given = client.fetchQuery({ queryKey, queryFn: keptQuery(key, ask, (a) => a.list) });
      await jest.advanceTimersByTimeAsync(4100);
      expect(await given).toEqual(['old']);
      return {
        shown: () => client.getQueryData(queryKey),
        set: (list: string[]) => client.setQueryData(queryKey, list),
        answer: async (list: string[]) => {
          come({ list });
          await jest.advanceTimersByTimeAsync(0);
        },
      };
    };

    test('it is shown when it comes', async () => {
      const { shown, answer } = await asked('late');
      await answer(['new']);
      expect(shown()).toEqual(['new']);
    });

    test('it is not shown where something newer has come meanwhile, or somebody else works here', async () => {
      const { shown, set, answer } = await asked('overtaken');
      set(['newest']);
      await answer(['new']);
      expect(shown()).toEqual(['newest']);
      const other = await asked('of another');
      await forgetAnswers();
      await other.answer(['theirs']);
      expect(other.shown()).toEqual(['old']);
    });
  });

  test('is waited for where there is nothing', async () => {
    let come: (told: string[]) => void = () => {};
    const told = orKept('courses', () => new Promise<string[]>((resolve) => (come = resolve)));
    await jest.advanceTimersByTimeAsync(10_000);
    come(['new']);
    expect(await told).toEqual(['new']);
  });
});
