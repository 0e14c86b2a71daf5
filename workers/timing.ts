import { proxy, wrap, type Remote } from 'comlink';
import type { Course } from '@/core/course';
import type { Run } from '@/core/run';
import {
  type BegunRun,
  type FairSheet,
  type Opening,
  type RunDigest,
  type RunLine,
  type RunSheet,
  type Steadiness,
  steadinessOf,
} from '@/core/timing';
import { jobIn, jobsTogether, type CancellableJob } from './job';
import { withoutPicture } from './lastingWorker';
import type { PaleTrack, TimingWorkerApi } from './timing.worker';

export type { PaleTrack } from './timing.worker';

/** Answers one question at a time. */
interface Reader {
  readonly worker: Worker;
  readonly labour: Remote<TimingWorkerApi>;
}

/** Questions that are answered at once where there are many: a core is left to what is drawn. */
const readers = () => (navigator.hardwareConcurrency > 2 ? 2 : 1);

/** One that has answered, kept for what is asked next: what reads a run takes twice as long when it is new. */
let idle: Reader | null = null;

function takeReader(): Reader {
  const kept = idle;
  idle = null;
  if (kept) return kept;
  const worker = new Worker(new URL('./timing.worker', window.location.href));
  // One that breaks while it is kept would be asked in vain.
  worker.addEventListener('error', () => {
    if (idle?.worker === worker) idle = null;
  });
  return { worker, labour: wrap<TimingWorkerApi>(worker) };
}

function keepReader(reader: Reader): void {
  if (idle) reader.worker.terminate();
  else idle = reader;
}

/** A question about runs of a course in a worker that does nothing else; cancelling ends the worker. */
function begin<T>(
  course: Course,
  ask: (labour: Remote<TimingWorkerApi>, felt: Course) => Promise<T>,
): CancellableJob<T> {
  const reader = takeReader();
  const ready = withoutPicture(course);
  return jobIn(
    reader.worker,
    () => ask(reader.labour, ready),
    'The figures could not be read.',
    () => keepReader(reader),
  );
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

/** Plays a run that came from elsewhere, and tells what there is to say of it. */
export const beginDigest = (course: Course, run: Run): CancellableJob<RunDigest> =>
  begin(course, (labour, felt) => labour.digest(felt, run));

/**
 * Tries a run again and again by an unsteady hand, and others of the course beside it; `progress` is told the part that
 * is done.
 */
export function beginSteadiness(
  course: Course,
  run: Run,
  others: readonly Run[],
  tries: number,
  progress: (part: number) => void,
): CancellableJob<Steadiness> {
  const runs = [run, ...others];
  const parts = runs.map(() => 0);
  const jobs = runs.map((one, i) => () => {
    const heard = proxy((part: number) => {
      parts[i] = part;
      progress(parts.reduce((sum, known) => sum + known, 0) / runs.length);
    });
    return begin(course, (labour, felt) => labour.tried(felt, one, tries, heard));
  });
  return jobsTogether(jobs, readers(), ([own, ...besides]) => steadinessOf(own, besides));
}

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
