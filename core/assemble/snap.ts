import { BOUNDS, type Course } from '../course';
import { distance, type Vec3 } from '../geometry';
import { MOST_LEGS, nextLeg } from './legs';
import { tidy } from './place';
import type { PieceInHand } from './lay';

/** Grid steps a maker can choose, m; 0 lays freely. */
export const GRID_STEPS = [0, 0.1, 0.25, 0.5, 1, 2, 4, 8] as const;
/** Steps of turning a maker can choose, degrees; 0 turns freely. */
export const TURN_STEPS = [0, 5, 7.5, 15, 22.5, 30, 45, 90] as const;

/** The level or upright plane on which taps land: height y, or depth z. */
export interface WorkPlane {
  readonly axis: 'y' | 'z';
  readonly value: number;
}

/** A line from the eye. */
export interface Ray {
  readonly from: Vec3;
  readonly along: Vec3;
}

/** Where a ray meets the work plane, or null when it runs along it, away from it, or too far. */
export function onWorkPlane(ray: Ray, plane: WorkPlane): Vec3 | null {
  const axis = plane.axis === 'y' ? 1 : 2;
  const pace = ray.along[axis];
  if (Math.abs(pace) < 1e-9) return null;
  const t = (plane.value - ray.from[axis]) / pace;
  if (t < 0) return null;
  const p = ray.from.map((v, i) => v + ray.along[i] * t);
  p[axis] = plane.value;
  return p.some((v) => Math.abs(v) > BOUNDS) ? null : [p[0], p[1], p[2]];
}

/** The nearest place on the grid of a step, or of one for each axis; 0 leaves it where it is. */
export const snapToGrid = (p: Vec3, step: number | Vec3): Vec3 =>
  [0, 1, 2].map((axis) => {
    const s = typeof step === 'number' ? step : step[axis];
    return s > 0 ? tidy(Math.round(p[axis] / s) * s) : tidy(p[axis]);
  }) as unknown as Vec3;

/** Why a piece may not be laid where it would land, in words, or null when it may. */
export function refusal(course: Course, piece: PieceInHand): string | null {
  if (piece.family === 'start' && nextLeg(course, 'start') === null) {
    return `There are ${MOST_LEGS} legs already, which is the most`;
  }
  const twin = course.pieces.some(
    ({ family, at }) => family === piece.family && distance(at, piece.at) < 0.01,
  );
  return twin ? 'One lies there already' : null;
}
