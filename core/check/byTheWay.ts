import type { Vec3 } from '../geometry';

/** How far from the way of a course a gap still matters, m. */
const BESIDE = 6;

/** Whether a place lies by the way a course is meant to take; anywhere does where none is known. */
export const byTheWay = (way: readonly Vec3[], [x, , z]: Vec3): boolean =>
  way.length < 2 ||
  way.some((b, i) => {
    const a = way[Math.max(0, i - 1)];
    const [dx, dz] = [b[0] - a[0], b[2] - a[2]];
    const square = dx * dx + dz * dz;
    const k =
      square === 0 ? 0 : Math.min(1, Math.max(0, ((x - a[0]) * dx + (z - a[2]) * dz) / square));
    return Math.hypot(a[0] + dx * k - x, a[2] + dz * k - z) < BESIDE;
  });
