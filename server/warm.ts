import { loadDictionaries } from './api/strength';
import type { Lane } from './threads/lane';

/** Requests that pages send first, and the number of times each is sent here. */
const FIRST_ASKED = ['/demos', '/explore', '/explore?words=hop', '/me', '/courses'];
const TIMES = 40;

/**
 * Prepares a server that listens for many visitors at once: starts its threads, loads the dictionaries of weak
 * passphrases, and asks itself for what pages ask for first until the engine has compiled it. In its first second, 200
 * visitors waited up to 850 ms before.
 * @param port where it listens
 * @param lanes whose threads are started
 */
export async function warmUp(port: number, lanes: readonly Lane[]): Promise<void> {
  await Promise.all(lanes.map((lane) => lane.ready()));
  loadDictionaries();
  for (let i = 0; i < TIMES; i++) {
    await Promise.all(
      FIRST_ASKED.map(async (path) => {
        const answer = await fetch(`http://127.0.0.1:${port}/api${path}`);
        await answer.arrayBuffer();
      }),
    );
  }
}
