import type { Vec3 } from '@/core/geometry';
import { POINT_SIZE, type RunLine } from '@/core/timing';

/** Farther than this from a line a finger does not mean it, pixels. */
const REACH = 28;

/**
 * The tick of a run's line that is seen nearest to a pixel, between its points too; null where none is within a finger's
 * reach.
 *
 * @param line - of the run
 * @param see - where a place is seen, pixels; null behind the eye
 * @param x - of the pixel
 * @param y - of the pixel
 */
export function touchedTick(
  { points, ticks }: Pick<RunLine, 'points' | 'ticks'>,
  see: (place: Vec3) => readonly [number, number] | null,
  x: number,
  y: number,
): number | null {
  let [best, nearest] = [REACH, null as number | null];
  let before: readonly [number, number] | null = null;
  ticks.forEach((tick, i) => {
    const k = POINT_SIZE * i;
    const at = Number.isNaN(points[k]) ? null : see([points[k], points[k + 1], points[k + 2]]);
    if (at) {
      const part = before ? partNearest(before, at, x, y) : 1;
      const [px, py] = before
        ? [before[0] + (at[0] - before[0]) * part, before[1] + (at[1] - before[1]) * part]
        : at;
      const far = Math.hypot(px - x, py - y);
      if (far < best) {
        best = far;
        nearest = before ? Math.round(ticks[i - 1] + (tick - ticks[i - 1]) * part) : tick;
      }
    }
    before = at;
  });
  return nearest;
}

/** How far along from a to b the place nearest to a pixel is, 0 to 1. */
function partNearest(
  a: readonly [number, number],
  b: readonly [number, number],
  x: number,
  y: number,
): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const length = dx * dx + dy * dy;
  return length === 0 ? 1 : Math.min(1, Math.max(0, ((x - a[0]) * dx + (y - a[1]) * dy) / length));
}
