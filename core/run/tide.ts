import type { Course } from '../course';
import { localGeometry, touches, toWorld, worldMotion } from '../pieces';

/** How far below the lowest ground the tide stands when the maker says nothing, m. */
const BELOW_GROUND = 1.2;

/**
 * Height of the tide line: the maker's, or a little below the lowest top of anything solid over all
 * its motion. Gravity never stops, so a runner that leaves the course always reaches it.
 */
export function tideLine(course: Course): number {
  if (course.tide !== undefined) return course.tide;
  let lowest = Infinity;
  for (const piece of course.pieces) {
    const place = toWorld(piece);
    const motion = worldMotion(piece);
    const sink = motion?.kind === 'slide' ? Math.min(0, motion.travel[1]) : 0;
    if (piece.family === 'start') lowest = Math.min(lowest, piece.at[1]);
    if (!touches(course, piece)) continue;
    for (const { role, form } of localGeometry(piece).shapes) {
      if (role !== 'solid') continue;
      let top = -Infinity;
      if (form.kind === 'ball') top = place(form.centre)[1] + form.radius;
      else for (const p of form.solid.points) top = Math.max(top, place(p)[1]);
      lowest = Math.min(lowest, top + sink);
    }
  }
  return (lowest === Infinity ? 0 : lowest) - BELOW_GROUND;
}
