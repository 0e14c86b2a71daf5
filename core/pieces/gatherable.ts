import { EFFECT_TRAITS, type Course } from '../course';
import { contactRoles } from './contact';
import { givesWorth } from './fields';
import { familyOf } from './catalogue';
import { localGeometry } from './geometry';

/** The most that can be gathered in a course: pickups, and their worth, which has no bound where it comes again. */
export interface Gatherable {
  readonly count: number;
  readonly worth: number;
}

/** The pickups of all legs together. */
export function gatherableOf(course: Course): Gatherable {
  let [count, worth] = [0, 0];
  let isBounded = !course.links?.some(({ effects }) =>
    effects.some(({ kind }) => EFFECT_TRAITS[kind].givesWorth),
  );
  for (const piece of course.pieces) {
    if (contactRoles(course, piece).includes('pickup')) {
      count++;
      worth += Math.max(0, piece.worth ?? familyOf(piece.family).worth ?? 1);
      if (piece.respawn) isBounded = false;
    }
    if (localGeometry(piece).shapes.some(({ field }) => givesWorth(field))) isBounded = false;
  }
  return { count, worth: isBounded ? worth : Infinity };
}
