import { expose, transfer } from 'comlink';
import type { Course } from '@/core/course';
import { buildWorld, loadPhysics, replay, type Run } from '@/core/run';
import {
  digestOf,
  fairSheet,
  openingsOf,
  runLine,
  runSheet,
  traceOf,
  triedRun,
  type BegunRun,
  type FairSheet,
  type Opening,
  type RunDigest,
  type RunLine,
  type RunSheet,
  type TriedRun,
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
  /** What there is to say of a run, which is refused where it is not of the course. */
  digest: (course: Course, run: Run) => Promise<RunDigest>;
  /** What tries of a run by an unsteady hand say; `progress` is told the part that is done. */
  tried: (
    course: Course,
    run: Run,
    tries: number,
    progress: (part: number) => void,
  ) => Promise<TriedRun>;
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
  digest: async (course, run) => {
    await loadPhysics(course);
    return digestOf(replay(course, run));
  },
  tried: async (course, run, tries, progress) => {
    await loadPhysics(course);
    return triedRun(course, run, tries, progress);
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
