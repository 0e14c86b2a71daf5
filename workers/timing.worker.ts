import { expose, transfer } from 'comlink';
import type { Course } from '@/core/course';
import { buildWorld, loadPhysics, type Run } from '@/core/run';
import {
  fairSheet,
  openingsOf,
  runLine,
  runSheet,
  steadinessOf,
  traceOf,
  type BegunRun,
  type FairSheet,
  type Opening,
  type RunLine,
  type RunSheet,
  type Steadiness,
} from '@/core/timing';

/** A run as it is shown running beside another. */
export interface PaleTrack {
  /** Foot places, x y z for each tick, the start first, m. */
  readonly path: Float64Array;
  /** Where it looked, degrees about y, and whether it was on ground. */
  readonly heading: Float32Array;
  readonly ground: Uint8Array;
}

/** What can be asked of the worker. */
export interface TimingWorkerApi {
  sheet: (course: Course, shown: BegunRun, others: readonly BegunRun[]) => Promise<RunSheet>;
  /** The lines of some runs, in their order. */
  lines: (course: Course, runs: readonly BegunRun[]) => Promise<RunLine[]>;
  track: (course: Course, run: BegunRun) => Promise<PaleTrack>;
  /** How steady a hand a run asks for, others held beside it; `progress` is told the part that is done. */
  steadiness: (
    course: Course,
    run: Run,
    others: readonly Run[],
    tries: number,
    progress: (part: number) => void,
  ) => Promise<Steadiness>;
  /** When one may come by each mover on the way of a run, or only by one. */
  openings: (
    course: Course,
    run: Run,
    progress: (part: number) => void,
    only?: string,
  ) => Promise<Opening[]>;
  /** How fair the course is to a run of it. */
  fair: (course: Course, begun: BegunRun, progress: (part: number) => void) => Promise<FairSheet>;
}

expose({
  sheet: async (course, shown, others) => {
    await loadPhysics(course);
    return runSheet(course, shown, others);
  },
  lines: async (course, runs) => {
    await loadPhysics(course);
    const world = buildWorld(course);
    return runs.map(({ run, from }) => runLine(traceOf(course, run, world, from)));
  },
  track: async (course, { run, from }) => {
    await loadPhysics(course);
    const trace = traceOf(course, run, buildWorld(course), from);
    const [path, heading, ground] = [
      trace.path.slice(),
      trace.heading.slice(),
      trace.ground.slice(),
    ];
    return transfer({ path, heading, ground }, [path.buffer, heading.buffer, ground.buffer]);
  },
  steadiness: async (course, run, others, tries, progress) => {
    await loadPhysics(course);
    return steadinessOf(course, run, tries, progress, others);
  },
  openings: async (course, run, progress, only) => {
    await loadPhysics(course);
    return openingsOf(course, run, progress, only);
  },
  fair: async (course, begun, progress) => {
    await loadPhysics(course);
    return fairSheet(course, begun, progress);
  },
} satisfies TimingWorkerApi);
