/**
 * The straight legs a runner moved along within one tick. Sensors are swept along them, so that
 * nothing thin is missed and nothing round a corner is touched.
 */
export interface Trajectory {
  count: number;
  /** x, y and z of the foot at the start and after each leg. */
  readonly points: Float64Array;
}

const MOST_LEGS = 14;

export const newPath = (): Trajectory => ({
  count: 0,
  points: new Float64Array(3 * (MOST_LEGS + 1)),
});

/**
 * @param path the way
 * @param x of the place, m
 * @param y of the place, m
 * @param z of the place, m
 */
export function beginPath(path: Trajectory, x: number, y: number, z: number): void {
  path.count = 0;
  path.points[0] = x;
  path.points[1] = y;
  path.points[2] = z;
}

/**
 * Adds a leg to a place; past the most a tick can have, the last leg is drawn out instead.
 * @param path the way
 * @param x of the place, m
 * @param y of the place, m
 * @param z of the place, m
 */
export function addSegment(path: Trajectory, x: number, y: number, z: number): void {
  const i = 3 * path.count;
  const { points } = path;
  if (points[i] === x && points[i + 1] === y && points[i + 2] === z) return;
  if (path.count < MOST_LEGS) path.count++;
  const j = 3 * path.count;
  points[j] = x;
  points[j + 1] = y;
  points[j + 2] = z;
}
