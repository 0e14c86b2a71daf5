import type { Course } from '../course';
import type { Vec3 } from '../geometry';
import { TICKS_PER_SECOND } from '../motion';
import { buildWorld, type Run, type RunFrom, type RunResult } from '../run';
import { beatSheet, type BeatSheet } from './beat';
import { runLine } from './line';
import { beatShifts, type BeatShift } from './shift';
import { partsOf, type RunPart } from './parts';
import { lastStand, PHASES, phasesOf, type RunPhase } from './phases';
import { besideAlong, wayAlong, type BesidePoint } from './progress';
import { traceOf } from './trace';

/** Something that cost time: a fall, a hit, being crushed. */
export interface Mishap {
  readonly kind: 'fall' | 'hazard' | 'crush';
  readonly tick: number;
  /** Where the runner last stood before it, m. */
  readonly at: Vec3;
  /** The piece that did it, if one did. */
  readonly piece: string | null;
}

/** A place along a run's way. */
export interface WaySample {
  /** Metres gone. */
  readonly along: number;
  readonly tick: number;
  /** m/s. */
  readonly speed: number;
  /** Height of the foot, m. */
  readonly height: number;
}

/** What is read of a run that another is held against. */
export interface BesideRun {
  readonly finished: boolean;
  /** Seconds to the goal; where it was not reached, to its end. */
  readonly time: number;
  readonly parts: readonly RunPart[];
  /** Where it was, place by place along the way of the other. */
  readonly points: readonly BesidePoint[];
}

/** All that is read of one run. */
export interface RunSheet {
  readonly finished: boolean;
  /** Seconds to the goal; where it was not reached, to its end. */
  readonly time: number;
  readonly parts: readonly RunPart[];
  /** Seconds of each phase; together the ticks of the run. */
  readonly spent: Readonly<Record<RunPhase, number>>;
  readonly mishaps: readonly Mishap[];
  /** At even metres along its way. */
  readonly samples: readonly WaySample[];
  /** Length of its way, m. */
  readonly length: number;
  /** The runs it is held against, in their order. */
  readonly beside: readonly BesideRun[];
  /** How it kept to the beat, where the course has one. */
  readonly beat: BeatSheet | null;
  /** How pieces would be moved so that its landings fall on the beat. */
  readonly beatShifts: readonly BeatShift[];
}

/** Metres between samples. */
const SAMPLE = 0.5;

/** A run, and where it began when that was not at a start of the course, m. */
export interface BegunRun {
  readonly run: Run;
  readonly from?: RunFrom;
}

/**
 * The figures of a run, by playing it again.
 *
 * @param course - the course as it was run
 * @param shown - the run
 * @param others - runs of the same course that it is held against
 * @throws ReplayRefused when one of them was made on another course or by another simulation
 */
export function runSheet(
  course: Course,
  { run, from }: BegunRun,
  others: readonly BegunRun[] = [],
): RunSheet {
  const world = buildWorld(course);
  const trace = traceOf(course, run, world, from);
  const { result, ground, speed } = trace;
  const { path, events } = result;
  const beat = course.tempo ? beatSheet(runLine(trace).marks, course.tempo) : null;
  const phases = phasesOf({ ground, speed, path, events });
  const along = wayAlong(path);
  const beside = others.map((other): BesideRun => {
    const theirs = traceOf(course, other.run, world, other.from);
    const { finished, time } = theirs.result;
    const points = besideAlong(path, theirs, TICKS_PER_SECOND);
    return { finished, time, parts: partsOf(theirs.result), points };
  });
  return {
    finished: result.finished,
    time: result.time,
    parts: partsOf(result),
    spent: spentOf(phases),
    mishaps: mishapsOf(result, ground),
    samples: samplesOf(along, speed, path),
    length: along[along.length - 1],
    beat,
    beatShifts: beat ? beatShifts(course, world, trace, beat.hits) : [],
    beside,
  };
}

function spentOf(phases: Uint8Array): Record<RunPhase, number> {
  const counts = PHASES.map(() => 0);
  // The start itself takes no time.
  for (let tick = 1; tick < phases.length; tick++) counts[phases[tick]]++;
  return Object.fromEntries(
    PHASES.map((phase, i) => [phase, counts[i] / TICKS_PER_SECOND]),
  ) as Record<RunPhase, number>;
}

function mishapsOf({ events, path }: RunResult, ground: Uint8Array): Mishap[] {
  return events.flatMap(({ kind, tick, piece }): Mishap[] => {
    if (kind !== 'fall' && kind !== 'hazard' && kind !== 'crush') return [];
    // The place before the tick that ends it: in that tick the runner is put elsewhere already.
    const stood = lastStand(ground, tick - 1);
    const at: Vec3 = [path[3 * stood], path[3 * stood + 1], path[3 * stood + 2]];
    return [{ kind, tick, at, piece: piece ?? null }];
  });
}

function samplesOf(along: Float64Array, speed: Float32Array, path: Float64Array): WaySample[] {
  const samples: WaySample[] = [];
  let due = 0;
  for (let tick = 0; tick < along.length; tick++) {
    if (along[tick] < due && tick < along.length - 1) continue;
    due = along[tick] + SAMPLE;
    samples.push({ along: along[tick], tick, speed: speed[tick], height: path[3 * tick + 1] });
  }
  return samples;
}
