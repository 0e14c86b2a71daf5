import { proxy, wrap, type Remote } from 'comlink';
import type { Course } from '@/core/course';
import type { Run } from '@/core/run';
import type { BegunRun, FairSheet, Opening, RunLine, RunSheet, Steadiness } from '@/core/timing';
import { jobIn, type CancellableJob } from './job';
import { withoutPicture } from './lastingWorker';
import type { PaleTrack, TimingWorkerApi } from './timing.worker';

export type { PaleTrack } from './timing.worker';

/** A question about runs of a course in a worker of its own; cancelling ends the worker. */
function begin<T>(
  course: Course,
  ask: (labour: Remote<TimingWorkerApi>, felt: Course) => Promise<T>,
): CancellableJob<T> {
  const worker = new Worker(new URL('./timing.worker', window.location.href));
  const labour = wrap<TimingWorkerApi>(worker);
  const ready = withoutPicture(course);
  return jobIn(worker, () => ask(labour, ready), 'The figures could not be read.');
}

/** Reads a run's figures, held against others. */
export const beginSheet = (
  course: Course,
  shown: BegunRun,
  others: readonly BegunRun[],
): CancellableJob<RunSheet> => begin(course, (labour, felt) => labour.sheet(felt, shown, others));

/** Draws the lines of some runs, in their order. */
export const beginLines = (course: Course, runs: readonly BegunRun[]): CancellableJob<RunLine[]> =>
  begin(course, (labour, felt) => labour.lines(felt, runs));

/** Plays a run again to be shown running beside another. */
export const beginTrack = (course: Course, run: BegunRun): CancellableJob<PaleTrack> =>
  begin(course, (labour, felt) => labour.track(felt, run));

/**
 * Tries a run again and again by an unsteady hand, and others of the course beside it; `progress` is told the part that
 * is done.
 */
export const beginSteadiness = (
  course: Course,
  run: Run,
  others: readonly Run[],
  tries: number,
  progress: (part: number) => void,
): CancellableJob<Steadiness> =>
  begin(course, (labour, felt) => labour.steadiness(felt, run, others, tries, proxy(progress)));

/**
 * Looks for when one may come by each mover on the way of a run, or only by one; `progress` is told the part that is
 * done.
 */
export const beginOpenings = (
  course: Course,
  run: Run,
  progress: (part: number) => void,
  only?: string,
): CancellableJob<Opening[]> =>
  begin(course, (labour, felt) => labour.openings(felt, run, proxy(progress), only));

/** Looks at how fair a course is to a run of it; `progress` is told the part that is done. */
export const beginFair = (
  course: Course,
  begun: BegunRun,
  progress: (part: number) => void,
): CancellableJob<FairSheet> =>
  begin(course, (labour, felt) => labour.fair(felt, begun, proxy(progress)));
