import type { Course, Piece } from '../course';
import { boxesMeet } from '../geometry';
import { contactShapes } from './contact';
import type { Field, Shape } from './family';
import { pieceBounds } from './geometry';
import { formVolume } from './weight';

/**
 * What another field does where it lies over one: it adds to it; it counts in its place, being the smaller weight or
 * the faster boost; or it gives way.
 */
export type FieldBeside = 'adds' | 'counts' | 'gives way';

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

type Acting = Extract<Field, { kind: 'push' | 'gravity' }>;
interface FieldShape {
  readonly field: Acting;
  readonly form: Shape['form'];
}

function fieldShape(course: Course, piece: Piece): FieldShape | null {
  for (const { field, form } of contactShapes(course, piece)) {
    if (field?.kind === 'push' || field?.kind === 'gravity') return { field, form };
  }
  return null;
}

function besideOf(own: FieldShape, { field, form }: FieldShape): FieldBeside | null {
  if (own.field.kind === 'gravity') {
    if (field.kind !== 'gravity') return null;
    return formVolume(form) < formVolume(own.form) ? 'counts' : 'gives way';
  }
  if (field.kind === 'gravity' || (field.top === undefined) !== (own.field.top === undefined)) {
    return null;
  }
  if (field.top === undefined || own.field.top === undefined) return 'adds';
  return field.top > own.field.top ? 'counts' : 'gives way';
}
