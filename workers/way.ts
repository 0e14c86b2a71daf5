import { proxy } from 'comlink';
import type { Course } from '@/core/course';
import { LastingWorker, withoutPicture } from './lastingWorker';
import type { SaidOfWay, WatchedRun, WayWorkerApi } from './way.worker';

export type { SaidOfWay, WatchedRun } from './way.worker';

const judge = new LastingWorker<WayWorkerApi>(
  () => new Worker(new URL('./way.worker', window.location.href)),
  'The runs could not be tried.',
);

/**
 * Asks whether some finished runs still lead through a course, in a worker that remembers how each went when it
 * last did; once another is asked about it looks no further for this one.
 * @param told is told of each run by its key: at once, and again when other inputs have been looked for
 */
export function judgeInWorker(
  course: Course,
  runs: readonly WatchedRun[],
  told: (key: string, said: SaidOfWay) => void,
  failed: () => void,
): void {
  const heard = proxy(told);
  judge.also((api) => api.judge(withoutPicture(course), runs, heard)).catch(failed);
}
