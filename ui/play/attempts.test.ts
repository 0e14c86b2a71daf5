import { Attempts } from './attempts';

jest.mock('../state/api', () => ({ api: {} }));

beforeEach(() => void jest.useFakeTimers({ doNotFake: ['setImmediate'] }));
afterEach(() => void jest.useRealTimers());
const settled = () => new Promise(setImmediate);

/** A server that gives seeds 1, 2 and so on, until it is away. */
function server() {
  const state = { given: 0, away: false };
  const begun: string[] = [];
  const ask = async () => {
    if (state.away) throw new Error('away');
    state.given++;
    return { attempt: `a${state.given}`, hash: 'h', seed: state.given };
  };
  return { state, begun, attempts: new Attempts(ask, (attempt) => begun.push(attempt)) };
}

test('each try has an attempt of its own, ready before it is begun', async () => {
  const { state, begun, attempts } = server();
  await attempts.prepare();
  expect(state.given).toBe(2);
  expect(begun).toEqual([]);
  expect([attempts.seedOf(0), attempts.seedOf(1)]).toEqual([1, 2]);
  await settled();
  expect(attempts.seedOf(2)).toBe(3);
  // Drawn again, a try keeps its seed.
  expect([attempts.seedOf(0), attempts.seedOf(1)]).toEqual([1, 2]);
  expect(attempts.of(2)?.attempt).toBe('a2');
  expect(begun).toEqual([]);
  // Of those that are given only those that last are tries, each once.
  jest.advanceTimersByTime(2000);
  expect(begun).toEqual(['a3']);
  attempts.seedOf(3);
  jest.advanceTimersByTime(2000);
  attempts.seedOf(3);
  jest.advanceTimersByTime(9000);
  expect(begun).toEqual(['a3', 'a4']);
});

test('without a server a try makes up its own, and later ones have attempts again', async () => {
  const { state, attempts } = server();
  state.away = true;
  await attempts.prepare();
  expect(attempts.seedOf(0)).toBeUndefined();
  expect(attempts.refusal?.message).toBe('away');
  state.away = false;
  await settled();
  expect(attempts.seedOf(0)).toBeUndefined();
  expect(attempts.seedOf(1)).toBeUndefined();
  await settled();
  expect(attempts.seedOf(2)).toBe(1);
  expect(attempts.of(12345)).toBeUndefined();
  expect(attempts.refusal).toBeNull();
});

test('no more are asked for than are soon needed', async () => {
  const { state, attempts } = server();
  await Promise.all([attempts.prepare(), attempts.prepare(), attempts.prepare()]);
  expect(state.given).toBe(2);
});
