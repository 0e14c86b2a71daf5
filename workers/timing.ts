import { wrap } from 'comlink';
import type { Course } from '@/core/course';
import type { Run } from '@/core/run';
import type { RunSheet } from '@/core/timing';
import { jobIn, type CancellableJob } from './job';
import type { TimingWorkerApi } from './timing.worker';

/** Reads a run's figures in a worker of its own; cancelling ends the worker. */
export function beginSheet(
  course: Course,
  run: Run,
  against: Run | null,
): CancellableJob<RunSheet> {
  const worker = new Worker(new URL('./timing.worker', window.location.href));
  const labour = wrap<TimingWorkerApi>(worker);
  // A picture under the sketch has nothing to do with a run, and is large.
  const { sketch: _, ...felt } = course;
  const ask = () => labour.sheet(felt as Course, run, against);
  return jobIn(worker, ask, 'The figures could not be read.');
}
