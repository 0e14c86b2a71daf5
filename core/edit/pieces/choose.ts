import type { Course, Piece } from '../../course';
import { isWithin, middle, type Vec2 } from '../../geometry';
import { contactRoles, familyOf, pieceBounds, type FamilyGroup } from '../../pieces';
import { isHidden, isLocked } from './group';
import { pickPiece } from '../lookup/pick';
import type { Ray } from '../lookup/ray';

/** The pieces that can be chosen at all: neither hidden nor locked. */
export const choosable = (course: Course): Piece[] => course.pieces.filter(isChoosableIn(course));

const isChoosableIn = (course: Course) => (piece: Piece) =>
  !isHidden(course, piece) && !isLocked(course, piece);

/** The piece a ray meets first of those that can be chosen. */
export const pickChoosable = (course: Course, ray: Ray) =>
  pickPiece(course, ray, isChoosableIn(course));

const ids = (pieces: readonly Piece[]): string[] => pieces.map(({ id }) => id);

export const chooseAll = (course: Course): string[] => ids(choosable(course));

export const chooseOthers = (course: Course, choice: ReadonlySet<string>): string[] =>
  ids(choosable(course).filter(({ id }) => !choice.has(id)));

/** What pieces can have in common with a chosen one. */
export type Likeness = 'family' | 'group' | 'role' | 'look' | 'layer';

/** What a piece is to the runner before all else; what is not felt at all is scenery. */
function roleOf(course: Course, piece: Piece): string {
  const roles = contactRoles(course, piece);
  return roles.find((role) => role !== 'solid') ?? roles[0] ?? 'scenery';
}

const likenessOf = (course: Course, piece: Piece, likeness: Likeness): string => {
  const family = familyOf(piece.family);
  if (likeness === 'role') return roleOf(course, piece);
  if (likeness === 'family') return family.id;
  if (likeness === 'group') return family.group satisfies FamilyGroup;
  if (likeness === 'layer') return piece.layer ?? '';
  return piece.look?.colour ?? piece.look?.material ?? family.material;
};

/** All pieces that are like any of the chosen ones. */
export function chooseAlike(
  course: Course,
  choice: ReadonlySet<string>,
  likeness: Likeness,
): string[] {
  const wanted = new Set(
    course.pieces
      .filter(({ id }) => choice.has(id))
      .map((piece) => likenessOf(course, piece, likeness)),
  );
  return ids(choosable(course).filter((piece) => wanted.has(likenessOf(course, piece, likeness))));
}

/**
 * The pieces whose middle, as it is seen, lies within an outline drawn over the picture.
 * @param seenAt the pixel at which a place is seen, or null when it is not
 */
export const chooseWithin = (
  course: Course,
  outline: readonly Vec2[],
  seenAt: (place: readonly [number, number, number]) => readonly [number, number] | null,
): string[] =>
  ids(
    choosable(course).filter((piece) => {
      const seen = seenAt(middle(pieceBounds(piece)));
      return seen !== null && isWithin(outline, [seen[0], seen[1]]);
    }),
  );

/**
 * The pieces whose middle lies within a region of the map, between two heights.
 * @param course the course as it is; it stays so
 * @param region corners of a ring over the map, x and z in m
 * @param low height from which pieces count, m
 * @param high height up to which they do, m
 */
export const chooseInRegion = (
  course: Course,
  region: readonly Vec2[],
  low = -Infinity,
  high = Infinity,
): string[] =>
  ids(
    choosable(course).filter((piece) => {
      const [x, y, z] = middle(pieceBounds(piece));
      return y >= low && y <= high && isWithin(region, [x, z]);
    }),
  );
