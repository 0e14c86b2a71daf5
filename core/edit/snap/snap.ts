import { BOUNDS, type Course } from '../../course';
import { cosDeg, distance, sinDeg, type Vec3 } from '../../geometry';
import type { Ray } from '../lookup/ray';
import { MOST_LEGS, nextLeg } from '../course/legs';
import { roundToStored } from '../pieces/place';
import type { PieceInHand } from '../pieces/lay';

/** Grid steps a maker can choose, m; 0 lays freely. */
export const GRID_STEPS = [0, 0.1, 0.25, 0.5, 1, 2, 4, 8] as const;
/** Steps of turning a maker can choose, degrees; 0 turns freely. */
export const TURN_STEPS = [0, 5, 7.5, 15, 22.5, 30, 45, 90] as const;

/** The level or upright plane on which taps land: height y, or depth z. */
export interface WorkPlane {
  readonly axis: 'y' | 'z';
  readonly value: number;
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

/** Where a grid has its origin, m, and by how much it is turned about the upright, degrees. */
export interface GridFrame {
  readonly origin: Vec3;
  readonly turn: number;
}

/** The nearest place on the grid of a step, or of one for each axis of the grid; 0 leaves it where it is. */
export function snapToGrid(p: Vec3, step: number | Vec3, frame?: GridFrame): Vec3 {
  const [sx, sy, sz] = typeof step === 'number' ? [step, step, step] : step;
  const near = (v: number, s: number) =>
    s > 0 ? roundToStored(Math.round(v / s) * s) : roundToStored(v);
  if (!frame || (frame.turn === 0 && frame.origin.every((v) => v === 0))) {
    return [near(p[0], sx), near(p[1], sy), near(p[2], sz)];
  }
  const [c, s] = [cosDeg(frame.turn), sinDeg(frame.turn)];
  const [x, y, z] = [p[0] - frame.origin[0], p[1] - frame.origin[1], p[2] - frame.origin[2]];
  // Into the grid's own axes, and out of them again.
  const [u, w] = [near(c * x - s * z, sx), near(s * x + c * z, sz)];
  return [
    roundToStored(frame.origin[0] + c * u + s * w),
    roundToStored(frame.origin[1] + near(y, sy)),
    roundToStored(frame.origin[2] - s * u + c * w),
  ];
}

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
