import type { Allowance, Course } from '../../course';
import { setBehaviour } from './behaviour';
import { changePieces } from './place';

/**
 * Has a piece, or one part of the shape drawn for it, touch by another allowance.
 * @param course the course
 * @param id of the piece
 * @param part of its drawn shape, by its place there; null for the piece as a whole
 * @param allowance what it is to be
 */
export function allow(
  course: Course,
  id: string,
  part: number | null,
  allowance: Allowance,
): Course {
  const one = new Set([id]);
  if (part === null) return setBehaviour(course, one, 'allowance', allowance);
  return changePieces(course, one, (piece) => {
    const { shape } = piece;
    if (!shape) return;
    const parts = shape.parts.map((own, i) => (i === part ? { ...own, allowance } : own));
    piece.shape = { ...shape, parts };
  });
}
