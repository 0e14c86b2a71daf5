import { createStore, delMany, getMany, keys, set } from 'idb-keyval';
import type { Run, RunFrom } from '@/core/run';
import type { RunDigest } from '@/core/timing';

/** How an attempt began, when not at a start of the course. */
export interface Begun {
  /** Where, and where it faced. */
  readonly from?: RunFrom;
  /** The tick of another run it went on from: its inputs up to there are that run's. */
  readonly since?: number;
}

/** Whether an attempt was run from a start on. */
export const isWhole = ({ from, since }: Begun): boolean =>
  from === undefined && since === undefined;

/** One attempt at a course on this device, with what there is to say of it without playing it again. */
export interface KeptAttempt extends Begun, RunDigest {
  readonly course: string;
  /** When it ended, ms. */
  readonly at: number;
  readonly run: Run;
}

/** Most attempts kept of one course: the oldest go. */
export const MOST_ATTEMPTS = 200;

let store: ReturnType<typeof createStore> | undefined;
const attempts = () => (store ??= createStore('stonehop-attempts', 'attempts'));
const keyOf = ({ course, at }: Pick<KeptAttempt, 'course' | 'at'>): string =>
  `${course} ${String(at).padStart(15, '0')}`;

/** Where the attempts at a course are kept, the latest first; those at others are not read for it. */
const keysOf = async (course: string): Promise<string[]> =>
  (await keys<string>(attempts()))
    .filter((key) => key.startsWith(`${course} `))
    .sort()
    .reverse();

/**
 * Keeps an attempt; where the browser forbids storage the run counts all the same.
 * @returns whether it is kept
 */
export async function keepAttempt(
  course: string,
  { run, digest, begun }: { run: Run; digest: RunDigest; begun: Begun },
  at = Date.now(),
): Promise<boolean> {
  const kept: KeptAttempt = { course, at, run, ...digest, ...begun };
  try {
    await set(keyOf(kept), kept, attempts());
    const over = (await keysOf(course)).slice(MOST_ATTEMPTS);
    if (over.length > 0) await delMany(over, attempts());
    return true;
  } catch {
    // After a run told nowhere: there is nothing the runner could do about it now.
    return false;
  }
}

/** The attempts at a course on this device, the latest first; none where the browser forbids storage. */
export async function attemptsAt(course: string): Promise<readonly KeptAttempt[]> {
  try {
    const kept = await getMany<KeptAttempt>(await keysOf(course), attempts());
    return kept.filter((one) => one !== undefined);
  } catch {
    return [];
  }
}
