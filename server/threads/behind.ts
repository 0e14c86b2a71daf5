import { readlinkSync } from 'node:fs';
import { setPriority } from 'node:os';

/** The variable that tells a thread how far it stands behind. */
export const BEHIND = 'STONEHOP_BEHIND';

/**
 * Lowers the priority of the calling thread, so that the thread that answers never waits for it. Does nothing outside
 * Linux, where threads have no priority of their own.
 * @param nice from 0 to 19: how far behind
 */
export function standBehind(nice: number): void {
  if (process.platform !== 'linux' || !(nice > 0)) return;
  try {
    const thread = Number(readlinkSync('/proc/thread-self').split('/').at(-1));
    setPriority(thread, nice);
  } catch {
    // Where that is not to be had all threads are alike, and only slower.
  }
}
