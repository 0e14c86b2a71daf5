import { readFileSync } from 'node:fs';

const PER_MS = 1e6;

/**
 * The processor time of the calling thread, ms; null where the system does not say.
 */
export function threadTime(): number | null {
  try {
    const [onProcessor] = readFileSync('/proc/thread-self/schedstat', 'utf8').split(' ');
    const ns = Number(onProcessor);
    return ns > 0 ? ns / PER_MS : null;
  } catch {
    return null;
  }
}
