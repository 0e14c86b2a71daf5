import type { Course, Piece } from '../course';
import { findFamily } from './catalogue';

/**
 * Whether a piece touches in a course: as it says itself, else as the course says of its family, else
 * all but scenery do.
 */
export const touches = (
  { collides }: Pick<Course, 'collides'>,
  { collision, family }: Pick<Piece, 'collision' | 'family'>,
): boolean =>
  collision ? collision === 'on' : (collides?.[family] ?? findFamily(family)?.group !== 'scenery');
