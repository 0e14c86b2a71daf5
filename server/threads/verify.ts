import { createHash } from 'node:crypto';
import { threadTime } from './cpuTime';
import { heavyRunRule } from '@/core/check';
import { toCourse } from '@/core/course';
import {
  loadPhysics,
  NotRunnable,
  ReplayRefused,
  verifyRun,
  type Run,
  type Score,
} from '@/core/run';

/** What a run is worth: its score, the ticks it lasted, and a digest of the way it took. */
export interface Replayed extends Score {
  readonly ticks: number;
  readonly way: string;
  /** How long it took to replay, ms. */
  readonly took: number;
}

/** What a replay found: what the run is worth, or why it counts for nothing. */
export type Verdict =
  | Replayed
  | {
      readonly refused:
        'other-course' | 'other-core' | 'too-long' | 'too-heavy' | 'not-finished' | 'not-runnable';
      readonly message: string;
    };

/** Ticks between two looks at the clock. */
const ASKED_EVERY = 16;

/** Says when the thread has worked for so many ms; by the clock where the system does not say how long it has. */
function timer(ms: number): () => boolean {
  const [begun, worked] = [performance.now(), threadTime()];
  let next = begun + ms;
  return () => {
    const now = performance.now();
    if (now < next) return false;
    const spent = worked === null ? now - begun : (threadTime() ?? Infinity) - worked;
    // Not sooner than what is left can have been worked off.
    next = now + (ms - spent);
    return spent >= ms;
  };
}

/** A run to be replayed on a course's document, in so many seconds at most. */
export interface Task {
  readonly document: string;
  readonly run: Run;
  readonly budget: number;
}

/** Replays a run. */
export async function verify({ document, run, budget }: Task): Promise<Verdict> {
  const begun = performance.now();
  const isOver = timer(1000 * budget);
  try {
    const course = toCourse(JSON.parse(document));
    const [heavy] = heavyRunRule.check(course);
    if (heavy)
      return { refused: 'too-heavy', message: `The course is too heavy. ${heavy.message}` };
    await loadPhysics(course);
    const way = createHash('sha256');
    const place = new Float64Array(6);
    const score = verifyRun(course, run, ({ tick, x, y, z, vx, vy, vz }) => {
      if (tick % ASKED_EVERY === 0 && isOver()) return false;
      place.set([x, y, z, vx, vy, vz]);
      way.update(place);
      return true;
    });
    if (!score) return { refused: 'not-finished', message: 'The run does not reach the goal.' };
    const took = performance.now() - begun;
    return { ...score, way: way.digest('hex').slice(0, 32), took };
  } catch (error) {
    if (error instanceof ReplayRefused) return { refused: error.reason, message: error.message };
    if (error instanceof NotRunnable) return { refused: 'not-runnable', message: error.message };
    throw error;
  }
}
