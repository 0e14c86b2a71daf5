import { ApiError } from './api';
import { forgetAnswers, keepAnswer, orKept } from './keptAnswers';

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

  test('is waited for where there is nothing', async () => {
    let come: (told: string[]) => void = () => {};
    const told = orKept('courses', () => new Promise<string[]>((resolve) => (come = resolve)));
    await jest.advanceTimersByTimeAsync(10_000);
    come(['new']);
    expect(await told).toEqual(['new']);
  });
});
