import type { QueryFunctionContext } from '@tanstack/react-query';
import { clear, createStore, get, set } from 'idb-keyval';
import { ApiError } from './api';

let store: ReturnType<typeof createStore> | undefined;
const answers = () => (store ??= createStore('stonehop-answers', 'answers'));

/** How long the server is waited for where there is something to go on with, ms. */
const PATIENCE = 4000;

/** The question for one of the maker's own courses. */
export const courseKey = (id: string): string => `course ${id}`;

/** Keeps what the server answered, for when it is out of reach; fails only where the browser forbids storage. */
export const keepAnswer = (key: string, answer: unknown): Promise<void | undefined> =>
  quietly(() => set(key, answer, answers()));

/** Where a browser has no storage at all, even asking for it fails. */
const quietly = async <T>(work: () => Promise<T>): Promise<T | undefined> => {
  try {
    return await work();
  } catch {
    return undefined;
  }
};

/** Goes up whenever somebody else begins to work here: answers asked for before are not kept any more. */
let who = 0;

/** Forgets all of it: somebody else works here from now on. */
export async function forgetAnswers(): Promise<void> {
  who++;
  await quietly(() => clear(answers()));
  if ('caches' in globalThis) await quietly(() => caches.delete('pictures'));
}

/**
 * What the server answers, or what it answered last where it is not reached or takes too long.
 * @param key the question, by which its answer is kept
 * @param ask asks the server
 * @param onLate is given the server's answer where it comes after the kept one was returned
 * @throws ApiError of the server, and where it is not reached and nothing is kept
 */
export async function orKept<T>(
  key: string,
  ask: () => Promise<T>,
  onLate?: (answer: T) => void,
): Promise<T> {
  const asker = who;
  let isAnswered = false;
  const answer = ask();
  // Whenever it comes it is the newest there is; whether it failed is looked at below.
  answer.then(
    (told) => {
      if (asker !== who) return;
      void keepAnswer(key, told);
      if (isAnswered) onLate?.(told);
    },
    () => {},
  );
  const kept = () => quietly(() => get<T>(key, answers()));
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<T | undefined>((resolve) => {
    timer = setTimeout(() => void kept().then(resolve), PATIENCE);
  });
  try {
    const first = await Promise.race([answer, late]);
    if (first === undefined) return await answer;
    isAnswered = true;
    return first;
  } catch (error) {
    const known = isOutOfReach(error) ? await kept() : undefined;
    if (known === undefined) throw error;
    return known;
  } finally {
    clearTimeout(timer);
  }
}

/** Whether an error says no more than that the server was not reached. */
export const isOutOfReach = (error: unknown): boolean =>
  error instanceof ApiError && error.status === 0;

/**
 * The function of a query that shows what was kept until the server's answer comes, however late that is.
 * @param key the question, by which its answer is kept
 * @param ask asks the server, until the signal says that nobody waits any more
 * @param show makes of an answer what the query gives
 */
export const keptQuery =
  <T, Shown = T>(
    key: string,
    ask: (signal: AbortSignal) => Promise<T>,
    show: (answer: T) => Shown | Promise<Shown> = (answer) => answer as unknown as Shown,
  ) =>
  async ({ client, queryKey, signal }: QueryFunctionContext): Promise<Shown> => {
    const updates = () => client.getQueryState(queryKey)?.dataUpdateCount ?? 0;
    const before = updates();
    const onLate = async (answer: T): Promise<void> => {
      const shown = await show(answer);
      // Only in the place of what was kept: whatever came since is newer.
      if (updates() === before + 1) client.setQueryData(queryKey, shown);
    };
    return show(
      await orKept(
        key,
        () => ask(signal),
        (answer) => void onLate(answer),
      ),
    );
  };
