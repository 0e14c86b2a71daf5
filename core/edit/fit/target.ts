import type { Vec3 } from '../../geometry';
import { bridged, resample, smoothWay } from '../draw/sketch';

/** Metres between places of the line that is followed. */
export const PITCH = 0.4;

/** The drawn line as the search reads it: evenly spaced places with their directions and heights. */
export interface Target {
  readonly x: Float64Array;
  readonly z: Float64Array;
  /** Unit direction at each place. */
  readonly tx: Float64Array;
  readonly tz: Float64Array;
  readonly y: Float64Array;
  /** Places once round or from end to end; a round goes on a little beyond it. */
  readonly count: number;
  readonly closed: boolean;
  /** Signed degrees the line turns by in all. */
  readonly turning: number;
}

const DEGREES = 180 / Math.PI;
/** Places a round goes on beyond its first. */
const BEYOND = 30;

/** Prepares a drawn line; a round begins where it is straightest. */
export function toTarget(points: readonly Vec3[], closed: boolean): Target {
  const ring = closed ? [...points, points[0]] : points;
  let way = resample(ring, PITCH);
  if (closed) way = way.slice(0, -1);
  way = bridged(smoothWay(way, closed, 4), PITCH);
  if (closed) way = fromStraightest(way);
  const count = way.length;
  const long = closed ? [...way, ...way.slice(0, Math.min(BEYOND, count))] : way;
  const [x, y, z] = [0, 1, 2].map((axis) => Float64Array.from(long, (p) => p[axis]));
  const tx = new Float64Array(long.length);
  const tz = new Float64Array(long.length);
  for (let i = 0; i < long.length; i++) {
    const [a, b] = closed
      ? [way[(i + count - 2) % count], way[(i + 2) % count]]
      : [way[Math.max(0, i - 2)], way[Math.min(count - 1, i + 2)]];
    const l = Math.hypot(b[0] - a[0], b[2] - a[2]) || 1;
    tx[i] = (b[0] - a[0]) / l;
    tz[i] = (b[2] - a[2]) / l;
  }
  let turning = 0;
  for (let i = 1; i <= (closed ? count : count - 1); i++) {
    const [a, b] = [i - 1, i % long.length];
    // To the left is against the way from x to z.
    turning -= Math.atan2(tx[a] * tz[b] - tz[a] * tx[b], tx[a] * tx[b] + tz[a] * tz[b]) * DEGREES;
  }
  return { x, y, z, tx, tz, count, closed, turning };
}

/** A round turned so that it begins in the middle of its straightest stretch. */
function fromStraightest(way: readonly Vec3[]): Vec3[] {
  const n = way.length;
  const reach = Math.min(10, Math.floor(n / 6));
  let best = 0;
  let least = Infinity;
  for (let i = 0; i < n; i++) {
    const [a, b, c] = [way[(i + n - reach) % n], way[i], way[(i + reach) % n]];
    const bend = Math.abs((b[0] - a[0]) * (c[2] - b[2]) - (b[2] - a[2]) * (c[0] - b[0]));
    if (bend < least - 1e-9) {
      least = bend;
      best = i;
    }
  }
  return [...way.slice(best), ...way.slice(0, best)];
}

/** The heading of the line at a place, degrees. */
export const headingAt = ({ tx, tz }: Target, i: number): number =>
  Math.atan2(-tz[i], tx[i]) * DEGREES;
