import { createStore, del, entries, set } from 'idb-keyval';
import type { QueryClient } from '@tanstack/react-query';
import { showToast } from '../parts';
import { api, maySendAgain, type ApiError, type SentRun } from './api';
import { notedKept } from './keptHere';
import { KEYS } from './keys';

/** A run that is to be sent in, on this device until the server has it. */
export interface WaitingRun extends SentRun {
  readonly slug: string;
}

let store: ReturnType<typeof createStore> | undefined;
const runs = () => (store ??= createStore('stonehop-runs', 'waiting'));

/** Keeps a run until it is sent. Says whether it is kept. */
export const keepWaiting = (run: WaitingRun): Promise<boolean> =>
  notedKept(set(run.attempt, run, runs()));

export const dropWaiting = (attempt: string): Promise<void> => del(attempt, runs()).catch(() => {});

/** Sends a run in. It waits on this device until the server has taken it or says that it never will. */
export async function sendRun(run: WaitingRun) {
  await keepWaiting(run);
  try {
    const answer = await api.sendRun(run.slug, run);
    await dropWaiting(run.attempt);
    return answer;
  } catch (error) {
    // A name that somebody has can be changed, and the run sent again.
    if (!maySendAgain(error) && (error as ApiError).code !== 'name-taken') {
      await dropWaiting(run.attempt);
    }
    throw error;
  }
}

let sending = false;

/** Sends in what waits, oldest first, until the server is not in reach. */
export async function sendWaiting(client: QueryClient): Promise<void> {
  if (sending) return;
  sending = true;
  try {
    const waiting = await entries<string, WaitingRun>(runs()).catch(() => []);
    for (const [, run] of waiting) {
      try {
        const { time, place } = await sendRun(run);
        showToast(`A run that waited here is sent: ${time.toFixed(3)} s, place ${place}.`);
        void client.invalidateQueries({ queryKey: KEYS.published(run.slug) });
      } catch (error) {
        if (maySendAgain(error)) return;
        showToast(`A run that waited here does not count: ${(error as Error).message}`);
      }
    }
  } finally {
    sending = false;
  }
}
