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

/** What a replay found: what the run is worth, or why it counts for nothing. */
export type Verdict =
  | Score
  | {
      readonly refused:
        'other-course' | 'other-core' | 'too-long' | 'too-heavy' | 'not-finished' | 'not-runnable';
      readonly message: string;
    };

/** A run to be replayed on a course's document, in so many seconds at most. */
export interface Task {
  readonly document: string;
  readonly run: Run;
  readonly budget: number;
}

/** Replays a run. */
export async function verify({ document, run, budget }: Task): Promise<Verdict> {
  const end = performance.now() + 1000 * budget;
  try {
    const course = toCourse(JSON.parse(document));
    const [heavy] = heavyRunRule.check(course);
    if (heavy)
      return { refused: 'too-heavy', message: `The course is too heavy. ${heavy.message}` };
    await loadPhysics(course);
    const score = verifyRun(course, run, () => performance.now() < end);
    return score ?? { refused: 'not-finished', message: 'The run does not reach the goal.' };
  } catch (error) {
    if (error instanceof ReplayRefused) return { refused: error.reason, message: error.message };
    if (error instanceof NotRunnable) return { refused: 'not-runnable', message: error.message };
    throw error;
  }
}
