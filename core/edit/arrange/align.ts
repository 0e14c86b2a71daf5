import type { Course } from '../../course';
import type { Bounds } from '../../geometry';
import { pieceBounds } from '../../pieces';
import { chosenOf } from '../pieces/chosen';
import { changePieces, roundToStored } from '../pieces/place';
import type { Axis } from '../pieces/properties';

/** By what pieces are lined up: their low sides, their middles, or their high sides along an axis. */
export type Alignment = 'low' | 'middle' | 'high';

const placeOf = ({ low, high }: Bounds, axis: Axis, by: Alignment): number =>
  by === 'low' ? low[axis] : by === 'high' ? high[axis] : (low[axis] + high[axis]) / 2;

/**
 * Lines the chosen pieces up along an axis of the world, by the box about all of them.
 * @param course the course as it is; it stays so
 * @param choice ids of the pieces it is done to
 * @param axis 0, 1 or 2: x, y or z of the world
 * @param by which of their sides come into line
 */
export function alignPieces(
  course: Course,
  choice: ReadonlySet<string>,
  axis: Axis,
  by: Alignment,
): Course {
  const bounds = chosenOf(course, choice).map(pieceBounds);
  if (bounds.length < 2) return course;
  const about: Bounds = {
    low: [0, 1, 2].map((i) => Math.min(...bounds.map(({ low }) => low[i]))) as never,
    high: [0, 1, 2].map((i) => Math.max(...bounds.map(({ high }) => high[i]))) as never,
  };
  const line = placeOf(about, axis, by);
  return changePieces(course, choice, (piece) => {
    piece.at[axis] = roundToStored(piece.at[axis] + line - placeOf(pieceBounds(piece), axis, by));
  });
}

/**
 * Spreads the chosen pieces along an axis of the world so that the gaps between neighbours are all the same, or
 * their middles as far apart where there is no room for gaps; the first and the last stay.
 */
export function spreadPieces(course: Course, choice: ReadonlySet<string>, axis: Axis): Course {
  const row = chosenOf(course, choice)
    .map((piece) => ({ id: piece.id, bounds: pieceBounds(piece) }))
    .sort((a, b) => placeOf(a.bounds, axis, 'middle') - placeOf(b.bounds, axis, 'middle'));
  if (row.length < 3) return course;
  const extent = ({ low, high }: Bounds) => high[axis] - low[axis];
  const [first, last] = [row[0].bounds, row[row.length - 1].bounds];
  const taken = row.reduce((sum, { bounds }) => sum + extent(bounds), 0);
  const gap = (last.high[axis] - first.low[axis] - taken) / (row.length - 1);
  const by = new Map<string, number>();
  const [from, to] = [first, last].map((bounds) => placeOf(bounds, axis, 'middle'));
  let at = first.low[axis];
  row.forEach(({ id, bounds }, i) => {
    const even = from + ((to - from) * i) / (row.length - 1);
    by.set(id, gap < 0 ? even - placeOf(bounds, axis, 'middle') : at - bounds.low[axis]);
    at += extent(bounds) + gap;
  });
  return changePieces(course, choice, (piece) => {
    piece.at[axis] = roundToStored(piece.at[axis] + by.get(piece.id)!);
  });
}
