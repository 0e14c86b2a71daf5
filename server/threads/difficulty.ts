import { heavyRunRule } from '@/core/check';
import { toCourse } from '@/core/course';
import { loadPhysics, NotRunnable, ReplayRefused, type Run } from '@/core/run';
import { maySteer, steadinessOf, triedRun } from '@/core/timing';

/** A course as it is published, and the run that proves it. */
interface Task {
  readonly document: string;
  readonly run: Run;
  /** How often each part of it is tried. */
  readonly tries: number;
}

/** How hard a course is, from 1 to 10, by its proof; null where that says nothing about it. */
export async function readDifficulty({ document, run, tries }: Task): Promise<number | null> {
  try {
    const course = toCourse(JSON.parse(document));
    if (!maySteer(course) || heavyRunRule.check(course).length > 0) return null;
    await loadPhysics(course);
    const { difficulty, spans } = steadinessOf(triedRun(course, run, tries));
    return spans.length > 0 ? Math.round(difficulty * 10) / 10 : null;
  } catch (error) {
    if (error instanceof ReplayRefused || error instanceof NotRunnable) return null;
    throw error;
  }
}
