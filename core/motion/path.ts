import { add, scale, sub, type Vec3 } from '../geometry';
import type { PathMotion } from '../course';
import { eased, type Ease } from './wave';

/** One stretch of a way: along chords of it within a time, or a wait. */
interface Leg {
  readonly from: number;
  readonly time: number;
  /** Points along it, and how far each is from the first, m. */
  readonly points: readonly Vec3[];
  readonly along: readonly number[];
}

/** A drawn way as a function of time: metres off the piece's place. */
export interface CompiledPath {
  readonly kind: 'way';
  readonly legs: readonly Leg[];
  /** Seconds from its first point to its last, waits at both counted. */
  readonly time: number;
  /** Seconds for all of it till it begins anew: of one that goes back, each wait at an end once. */
  readonly period: number;
  readonly loopMode: 'back' | 'round' | 'once';
  /** Seconds of the wait at its last point. */
  readonly lastWait: number;
  readonly ease: Ease;
  readonly phase: number;
}

/** Speed of a way that says none, m/s. */
export const USUAL_SPEED = 2;
/** Chords that a smooth leg is gone along in. */
const CHORDS = 16;

const lengthOf = (v: Vec3): number => Math.sqrt(v[0] * v[0] + v[1] * v[1] + v[2] * v[2]);

/** Points of a way, its own place first; a round one comes back to it. */
export function wayPoints({ points, after }: Pick<PathMotion, 'points' | 'after'>): Vec3[] {
  const all: Vec3[] = [[0, 0, 0], ...points];
  return after === 'round' ? [...all, [0, 0, 0]] : all;
}

/** The way a document describes, ready to be asked where it is at a time. */
export function compilePath(motion: PathMotion): CompiledPath {
  const all = wayPoints(motion);
  const after = motion.after ?? 'back';
  const legs: Leg[] = [];
  let from = 0;
  const wait = (i: number) => {
    const time = motion.waits?.[i] ?? 0;
    if (time > 0) {
      legs.push({ from, time, points: [all[i]], along: [0] });
      from += time;
    }
  };
  for (let i = 0; i + 1 < all.length; i++) {
    wait(i);
    const leg = legOf(motion, all, i);
    legs.push({ from, ...leg });
    from += leg.time;
  }
  if (after !== 'round') wait(all.length - 1);
  const lastWait = after === 'round' ? 0 : (motion.waits?.[all.length - 1] ?? 0);
  return {
    kind: 'way',
    legs,
    time: from,
    period: after === 'back' ? 2 * from - lastWait - (motion.waits?.[0] ?? 0) : from,
    loopMode: after,
    lastWait,
    ease: motion.ease ?? 'even',
    phase: motion.phase ?? 0,
  };
}

/** Seconds that each leg of a path takes, without waits. */
export function legTimes(motion: PathMotion): number[] {
  const all = wayPoints(motion);
  return all.slice(1).map((_, i) => legOf(motion, all, i).time);
}

function legOf(motion: PathMotion, all: readonly Vec3[], i: number): Omit<Leg, 'from'> {
  const points = motion.smooth ? curve(motion, all, i) : [all[i], all[i + 1]];
  const along = [0];
  for (let k = 1; k < points.length; k++) {
    along.push(along[k - 1] + lengthOf(sub(points[k], points[k - 1])));
  }
  const length = along[along.length - 1];
  const time = Math.max(1e-3, motion.times?.[i] ?? length / (motion.speed ?? USUAL_SPEED));
  return { time, points, along };
}

/**
 * A leg of the smooth curve through the points (Catmull and Rom, 1974), as chords. At a corner it begins and
 * ends as at the ends of a path, whatever comes before or after.
 */
function curve({ after, corners }: PathMotion, all: readonly Vec3[], i: number): Vec3[] {
  const last = all.length - 1;
  const closed = after === 'round';
  const [b, c] = [all[i], all[i + 1]];
  const ends = (k: number) =>
    corners?.includes(closed ? k % last : k) || (!closed && (k === 0 || k === last));
  const a = ends(i) ? sub(scale(b, 2), c) : all[(i - 1 + last) % last];
  const d = ends(i + 1) ? sub(scale(c, 2), b) : all[closed ? (i + 2) % last : i + 2];
  return Array.from({ length: CHORDS + 1 }, (_, k): Vec3 => {
    const t = k / CHORDS;
    const w = [
      -0.5 * t + t * t - 0.5 * t * t * t,
      1 - 2.5 * t * t + 1.5 * t * t * t,
      0.5 * t + 2 * t * t - 1.5 * t * t * t,
      -0.5 * t * t + 0.5 * t * t * t,
    ];
    return [0, 1, 2].map((n) => a[n] * w[0] + b[n] * w[1] + c[n] * w[2] + d[n] * w[3]) as never;
  });
}

/** Where a way is at a time in seconds since it began. */
export function pointOnPath(way: CompiledPath, seconds: number): Vec3 {
  const { legs } = way;
  const t = wayTime(seconds + way.phase * way.period, way);
  let leg = legs[legs.length - 1];
  for (const one of legs) {
    if (t < one.from + one.time) {
      leg = one;
      break;
    }
  }
  const { points, along } = leg;
  if (points.length === 1) return points[0];
  const u = eased(Math.min(1, Math.max(0, (t - leg.from) / leg.time)), way.ease);
  const far = u * along[along.length - 1];
  let k = 1;
  while (k < along.length - 1 && along[k] < far) k++;
  const span = along[k] - along[k - 1];
  const part = span > 0 ? (far - along[k - 1]) / span : 0;
  return add(points[k - 1], scale(sub(points[k], points[k - 1]), part));
}

/**
 * The time within a way that is gone back, round or once.
 * @param seconds since it began
 * @param way how long it takes, and how it goes on
 */
export function wayTime(
  seconds: number,
  {
    time,
    period,
    loopMode,
    lastWait,
  }: Pick<CompiledPath, 'time' | 'period' | 'loopMode' | 'lastWait'>,
): number {
  if (loopMode === 'once') return Math.min(seconds, time);
  const t = seconds - Math.floor(seconds / period) * period;
  // What was waited at the last point is over when it turns back.
  return loopMode === 'back' && t > time ? 2 * time - lastWait - t : t;
}
