import type { Vec3 } from '../geometry';
import { TICKS_PER_SECOND } from '../motion';
import type { RunEvent } from '../run';
import { PUT, type RunTrace } from './trace';

/** What is marked on a run's line. */
export const LINE_MARKS = ['jump', 'land', 'hit', 'fall', 'wait'] as const;
export type LineMarkKind = (typeof LINE_MARKS)[number];

/** Something that happened on a run's line. */
export interface LineMark {
  readonly kind: LineMarkKind;
  readonly tick: number;
  /** Where the foot was, m. */
  readonly at: Vec3;
}

/** A run as a line over its course. */
export interface RunLine {
  /** x y z and speed (m, m/s) of each of its points; a piece of line ends where a number is none. */
  readonly points: Float32Array;
  /** The tick of each point. */
  readonly ticks: Int32Array;
  readonly marks: readonly LineMark[];
  /** The fastest it was, m/s. */
  readonly top: number;
}

/** Ticks between two points of a line. */
const EVERY = 4;
/** On ground and slower than this is waiting, m/s, from so many ticks on. */
const [STILL, LEAST_WAIT] = [0.3, TICKS_PER_SECOND / 2];
/** Landings after less in the air than this are steps, ticks. */
const LEAST_AIR = 12;
/** Floats of a point. */
export const POINT_SIZE = 4;

/** The line of a run. */
export function runLine(trace: RunTrace): RunLine {
  const { path, speed } = trace;
  const count = path.length / 3;
  const points: number[] = [];
  const ticks: number[] = [];
  const put = (tick: number) => {
    points.push(path[3 * tick], path[3 * tick + 1], path[3 * tick + 2], speed[tick]);
    ticks.push(tick);
  };
  let top = 0;
  let last = 0;
  put(0);
  for (let tick = 1; tick < count; tick++) {
    top = Math.max(top, speed[tick]);
    if (stepOf(path, tick) > PUT) {
      if (last < tick - 1) put(tick - 1);
      points.push(NaN, NaN, NaN, NaN);
      ticks.push(tick);
      put(tick);
      last = tick;
    } else if (tick - last >= EVERY || tick === count - 1) {
      put(tick);
      last = tick;
    }
  }
  return {
    points: Float32Array.from(points),
    ticks: Int32Array.from(ticks),
    marks: marksOf(trace),
    top,
  };
}

const stepOf = (path: Float64Array, tick: number): number => {
  const i = 3 * tick;
  const [dx, dy, dz] = [
    path[i] - path[i - 3],
    path[i + 1] - path[i - 2],
    path[i + 2] - path[i - 1],
  ];
  return Math.sqrt(dx * dx + dy * dy + dz * dz);
};

const OF_EVENT: Partial<Record<RunEvent['kind'], LineMarkKind>> = {
  jump: 'jump',
  stroke: 'jump',
  hazard: 'hit',
  crush: 'hit',
  fall: 'fall',
};

/** What happened, in the order it did. */
function marksOf({ result, path, ground, speed }: RunTrace): LineMark[] {
  const at = (tick: number): Vec3 => [path[3 * tick], path[3 * tick + 1], path[3 * tick + 2]];
  const marks: LineMark[] = [];
  for (const { kind, tick } of result.events) {
    const mark = OF_EVENT[kind];
    // The tick that ends it has put the runner elsewhere already.
    if (mark) marks.push({ kind: mark, tick, at: at(mark === 'jump' ? tick : tick - 1) });
  }
  let air = 0;
  let still = 0;
  for (let tick = 1; tick < ground.length; tick++) {
    if (ground[tick] === 0) air++;
    else {
      if (air >= LEAST_AIR && stepOf(path, tick) < PUT) {
        marks.push({ kind: 'land', tick, at: at(tick) });
      }
      air = 0;
    }
    still = ground[tick] === 1 && speed[tick] < STILL ? still + 1 : 0;
    if (still === LEAST_WAIT) marks.push({ kind: 'wait', tick: tick - still + 1, at: at(tick) });
  }
  return marks.sort((a, b) => a.tick - b.tick);
}
