import type { Course } from '../course';
import { mapPoints } from '../geometry';
import { contactShapes, toWorld } from '../pieces';
import { formBounds } from './form';
import { moversOf, sinkOf } from './mover';

/** How far below the lowest ground the tide stands when the maker says nothing, m. */
const BELOW_GROUND = 1.2;

/**
 * Height of the tide line: the maker's, or a little below the lowest top of anything solid over all
 * its motion. Gravity never stops, so a runner that leaves the course always reaches it.
 */
export function tideLine(course: Course): number {
  if (course.tide !== undefined) return course.tide;
  const { list, whole, part } = moversOf(course, course.pieces);
  let lowest = Infinity;
  course.pieces.forEach((piece, i) => {
    if (piece.family === 'start') lowest = Math.min(lowest, piece.at[1]);
    const place = toWorld(piece);
    for (const { role, form, moving } of contactShapes(course, piece)) {
      if (role !== 'solid') continue;
      const box = formBounds(
        form.kind === 'ball'
          ? { ...form, centre: place(form.centre) }
          : { ...form, solid: mapPoints(form.solid, place) },
      );
      const mover = moving && part[i] >= 0 ? part[i] : whole[i];
      lowest = Math.min(lowest, box.high[1] - (mover < 0 ? 0 : sinkOf(list, mover)));
    }
  });
  return (lowest === Infinity ? 0 : lowest) - BELOW_GROUND;
}
