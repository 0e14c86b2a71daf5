import type { Course, Piece } from '../course';
import { boxesMeet } from '../geometry';
import { contactShapes } from './contact';
import type { Field, Shape } from './family';
import { type FieldBeside, fieldBeside, isForce } from './fields';
import { pieceBounds } from './geometry';
import { formVolume } from './weight';

/** A field that lies over another, and what becomes of both there. */
export interface OverlappingField {
  readonly piece: Piece;
  readonly does: FieldBeside;
}

/**
 * The fields of a course that act together with one of it: of one kind, and about the same room. Told by the boxes
 * about them, so that two that lean may only seem to meet.
 * @param course the course
 * @param piece one of its pieces
 */
export function overlappingFields(course: Course, piece: Piece): readonly OverlappingField[] {
  const own = fieldShape(course, piece);
  if (!own) return [];
  const bounds = pieceBounds(piece);
  return course.pieces.flatMap((other) => {
    if (other.id === piece.id || !boxesMeet(bounds, pieceBounds(other), 0)) return [];
    const met = fieldShape(course, other);
    const does = met && besideOf(own, met);
    return does ? [{ piece: other, does }] : [];
  });
}

interface FieldShape {
  readonly field: Field;
  readonly form: Shape['form'];
}

function fieldShape(course: Course, piece: Piece): FieldShape | null {
  for (const { field, form } of contactShapes(course, piece)) {
    if (field && isForce(field)) return { field, form };
  }
  return null;
}

const besideOf = (own: FieldShape, other: FieldShape): FieldBeside | null =>
  fieldBeside(own.field, other.field, formVolume(own.form), formVolume(other.form));
