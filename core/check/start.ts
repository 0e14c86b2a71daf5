import { layPiece } from '../edit';
import type { Course } from '../course';
import { localGeometry, pieceBounds } from '../pieces';

/** Stands a start on the piece furthest to the left, or at the origin of an empty course. */
export function addStart(course: Course): Course {
  const ground = course.pieces
    .filter((piece) => localGeometry(piece).shapes.some(({ role }) => role === 'solid'))
    .map(pieceBounds)
    .sort((a, b) => a.low[0] - b.low[0])[0];
  const at: [number, number, number] = ground
    ? [
        Math.min(ground.low[0] + 0.75, ground.high[0]),
        ground.high[1],
        (ground.low[2] + ground.high[2]) / 2,
      ]
    : [0, 0, 0];
  return layPiece(course, { family: 'start', at });
}
