import type { Vec3 } from './vec';

/** An axis-aligned box. */
export interface Bounds {
  readonly low: Vec3;
  readonly high: Vec3;
}

/** The smallest box about the points; an empty list gives a box turned inside out. */
export function boundsOf(points: Iterable<Vec3>): Bounds {
  const low: [number, number, number] = [Infinity, Infinity, Infinity];
  const high: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  for (const p of points) {
    for (let axis = 0; axis < 3; axis++) {
      low[axis] = Math.min(low[axis], p[axis]);
      high[axis] = Math.max(high[axis], p[axis]);
    }
  }
  return { low, high };
}

export const unionBounds = (all: Iterable<Bounds>): Bounds =>
  boundsOf([...all].flatMap(({ low, high }) => [low, high]));

export const middle = ({ low, high }: Bounds): Vec3 => [
  (low[0] + high[0]) / 2,
  (low[1] + high[1]) / 2,
  (low[2] + high[2]) / 2,
];

/** Whether two boxes overlap, touch, or lie within a distance of each other along every axis, m. */
export function boxesMeet(a: Bounds, b: Bounds, within: number): boolean {
  for (let axis = 0; axis < 3; axis++) {
    if (b.low[axis] > a.high[axis] + within || b.high[axis] < a.low[axis] - within) return false;
  }
  return true;
}

/** How far a place is from a box, m; 0 within it. */
export function distanceToBox({ low, high }: Bounds, at: Vec3): number {
  let square = 0;
  for (let axis = 0; axis < 3; axis++) {
    const out = Math.max(low[axis] - at[axis], 0, at[axis] - high[axis]);
    square += out * out;
  }
  return Math.sqrt(square);
}
