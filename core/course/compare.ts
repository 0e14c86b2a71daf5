import { canonicalJson } from './canonical';
import type { Course, Piece } from './schema';

/** A piece as it was and as it is. */
export interface PieceChange {
  readonly was: Piece;
  readonly is: Piece;
}

/** What tells one course from an earlier one. */
export interface CourseDifference {
  readonly added: readonly Piece[];
  readonly removed: readonly Piece[];
  /** The same but for place and turn. */
  readonly moved: readonly PieceChange[];
  readonly changed: readonly PieceChange[];
  /** Fields beside the pieces that differ. */
  readonly fields: readonly string[];
}

/** What has become of a course since it was another. */
export function compareCourses(was: Course, is: Course): CourseDifference {
  const before = new Map(was.pieces.map((piece) => [piece.id, piece]));
  const added: Piece[] = [];
  const moved: PieceChange[] = [];
  const changed: PieceChange[] = [];
  for (const piece of is.pieces) {
    const known = before.get(piece.id);
    before.delete(piece.id);
    if (!known) added.push(piece);
    else if (known !== piece && textOf(known) !== textOf(piece)) {
      (formOf(known) === formOf(piece) ? moved : changed).push({ was: known, is: piece });
    }
  }
  const keys = new Set([...Object.keys(was), ...Object.keys(is)]);
  const fields = [...keys].filter(
    (key) => key !== 'pieces' && was[key] !== is[key] && told(was[key]) !== told(is[key]),
  );
  return { added, removed: [...before.values()], moved, changed, fields };
}

// Courses are compared again after each edit, which leaves most pieces what they were.
const texts = new WeakMap<Piece, string>();
function textOf(piece: Piece): string {
  let text = texts.get(piece);
  if (text === undefined) texts.set(piece, (text = canonicalJson(piece)));
  return text;
}

/** All of a piece but where it stands. */
const formOf = ({ at: _, turn: __, ...form }: Piece): string => canonicalJson(form);
const told = (value: unknown): string => (value === undefined ? '' : canonicalJson(value));
