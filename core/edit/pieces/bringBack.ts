import type { Course, Piece } from '../../course';
import { removePieces } from './lay';

/**
 * Some pieces as they were in an earlier version of a course: those that changed are as they were, those that went are
 * back, those that came since go. What a piece goes along with, its layer and its model come back as far as they are
 * there.
 * @param course the course as it is
 * @param version the course as it was
 * @param ids the pieces, by their ids in either
 */
export function bringBack(course: Course, version: Course, ids: ReadonlySet<string>): Course {
  const before = new Map(version.pieces.map((piece) => [piece.id, piece]));
  const gone = new Set(
    course.pieces.map(({ id }) => id).filter((id) => ids.has(id) && !before.has(id)),
  );
  const left = gone.size > 0 ? removePieces(course, gone) : course;
  const here = new Set(left.pieces.map(({ id }) => id));
  const back = version.pieces.filter(({ id }) => ids.has(id) && !here.has(id));
  if (back.length === 0 && !left.pieces.some(({ id }) => ids.has(id) && before.has(id)))
    return left;
  const all = new Set([...here, ...back.map(({ id }) => id)]);
  const layers = new Set((left.layers ?? []).map(({ id }) => id));
  const asItWas = (piece: Piece): Piece => {
    const { attach, layer, ...rest } = before.get(piece.id)!;
    return {
      ...rest,
      ...(attach !== undefined && all.has(attach) ? { attach } : {}),
      ...(layer !== undefined && layers.has(layer) ? { layer } : {}),
    } as Piece;
  };
  const pieces = [
    ...left.pieces.map((piece) => (ids.has(piece.id) ? asItWas(piece) : piece)),
    ...back.map(asItWas),
  ];
  const models = { ...version.models, ...left.models };
  return { ...left, pieces, ...(Object.keys(models).length > 0 ? { models } : {}) };
}
