import { wrap } from 'comlink';
import type { Course } from '@/core/course';
import type { Run } from '@/core/run';
import type { RunSheet } from '@/core/timing';
import type { CancellableJob } from './fit';
import type { TimingWorkerApi } from './timing.worker';

/** Reads a run's figures in a worker of its own; cancelling ends the worker. */
export function beginSheet(
  course: Course,
  run: Run,
  against: Run | null,
): CancellableJob<RunSheet> {
  const worker = new Worker(new URL('./timing.worker', window.location.href));
  const labour = wrap<TimingWorkerApi>(worker);
  let stopped = false;
  let refuse: (problem: Error) => void = () => {};
  const end = () => worker.terminate();
  const result = new Promise<RunSheet>((resolve, reject) => {
    refuse = reject;
    worker.addEventListener('error', () => reject(new Error('The figures could not be read.')));
    // A picture under the sketch has nothing to do with a run, and is large.
    const { sketch: _, ...felt } = course;
    labour
      .sheet(felt as Course, run, against)
      .then(resolve, (problem: Error) => reject(new Error(problem.message)));
  });
  result.then(end, end);
  return {
    result,
    cancel: () => {
      stopped = true;
      end();
      refuse(new Error('Cancelled.'));
    },
    cancelled: () => stopped,
  };
}
