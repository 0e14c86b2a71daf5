import { toCourse } from '@/core/course';
import { loadPhysics, replay, ReplayRefused, type Run } from '@/core/run';

/** What a replay found: the time, or why there is none. */
export type Verdict =
  | { readonly time: number }
  | {
      readonly refused: 'other-course' | 'other-core' | 'too-long' | 'not-finished';
      readonly message: string;
    };

/** Replays a run on a course's document; the body of a worker thread. */
export default async function verify({
  document,
  run,
}: {
  document: string;
  run: Run;
}): Promise<Verdict> {
  try {
    const course = toCourse(JSON.parse(document));
    await loadPhysics(course);
    const result = replay(course, run);
    if (result.finished) return { time: result.time };
    return { refused: 'not-finished', message: 'The run does not reach the goal.' };
  } catch (error) {
    if (error instanceof ReplayRefused) return { refused: error.reason, message: error.message };
    throw error;
  }
}
