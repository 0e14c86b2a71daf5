import { MAX_PIECES, type Course, type Piece } from '../../course';
import { add, type Vec3 } from '../../geometry';
import { mirrorPiece, turnAbout, turnedVector, type MirrorPlane } from '../pieces/images';
import { layPieces, type PieceInHand } from '../pieces/lay';
import { freshGroup } from '../pieces/group';
import { anotherOf } from '../pieces/like';
import { mirroredVector } from '../pieces/mirrored';
import { freshPairs, pairOf, tieCopies, withPair } from '../course/ties';

/** Most copies one command makes. */
export const MOST_COPIES = 2000;

/** The course with the copies, and their ids. */
export interface Copied {
  readonly course: Course;
  readonly copies: string[];
}

/**
 * Checks how many copies are asked for.
 * @throws RangeError in words when there are too many, or none
 */
function checkCount(course: Course, count: number, pieces: number): void {
  if (!Number.isInteger(count) || count < 1) {
    throw new RangeError('At least one copy is needed, and a whole number of them.');
  }
  const total = count * pieces;
  if (total > MOST_COPIES) {
    throw new RangeError(
      `That would be ${total} pieces at once; at most ${MOST_COPIES} are laid by one command.`,
    );
  }
  if (course.pieces.length + total > MAX_PIECES) {
    throw new RangeError(`A course has at most ${MAX_PIECES} pieces.`);
  }
}

const chosenOf = (course: Course, choice: ReadonlySet<string>): Piece[] =>
  course.pieces.filter(({ id }) => choice.has(id));

/** One copy of all that was chosen: what becomes of a piece, and of a direction of the world. */
interface CopySet {
  readonly piece: (piece: PieceInHand) => PieceInHand;
  readonly vector: (v: Vec3) => [number, number, number];
}

/**
 * Lays several sets of copies. In each, what was a group becomes a group of its own, what acted together does
 * so among the copies, what went along with a copied piece goes along with its copy, and links among them are
 * copied with them.
 */
function laySets(course: Course, chosen: readonly Piece[], sets: readonly CopySet[]): Copied {
  let next = course;
  for (const { piece: changed, vector } of sets) {
    const groups = new Map<string, string>();
    const fresh = freshGroup(next);
    const pairs = freshPairs(next, chosen);
    const set = chosen.map((piece) => {
      const copy = changed(anotherOf(piece));
      const pair = pairs.get(pairOf(copy) ?? -1);
      const own = pair === undefined ? copy : withPair(copy, pair);
      if (!own.group) return own;
      const [outer, inner] = own.group.split('/');
      const name = groups.get(outer) ?? fresh();
      groups.set(outer, name);
      return { ...own, group: inner ? `${name}/${inner}` : name };
    });
    const from = next.pieces.length;
    next = layPieces(next, set);
    const ids = new Map(chosen.map(({ id }, i) => [id, next.pieces[from + i].id]));
    next = tieCopies(next, ids, vector);
  }
  return { course: next, copies: next.pieces.slice(course.pieces.length).map(({ id }) => id) };
}

const asItIs = ([x, y, z]: Vec3): [number, number, number] => [x, y, z];

/** Copies of the chosen pieces, moved by an offset in metres. */
export function duplicatePieces(course: Course, choice: ReadonlySet<string>, by: Vec3): Copied {
  return stepCopies(course, choice, by, 1);
}

/**
 * Copies in a direction, each a step further than the last.
 * @param course the course as it is; it stays so
 * @param choice ids of the pieces it is done to
 * @param by the step in metres along x, y and z
 * @param count how many copies
 * @throws RangeError when too many are asked for, or the step is none at all
 */
export function stepCopies(
  course: Course,
  choice: ReadonlySet<string>,
  by: Vec3,
  count: number,
): Copied {
  const chosen = chosenOf(course, choice);
  checkCount(course, count, chosen.length);
  if (count > 1 && by.every((v) => v === 0)) {
    throw new RangeError('The copies would all lie in one place: give them a step.');
  }
  const sets = Array.from({ length: count }, (_, i): CopySet => ({
    piece: (piece) => ({
      ...piece,
      at: add(piece.at, [by[0] * (i + 1), by[1] * (i + 1), by[2] * (i + 1)]) as Piece['at'],
    }),
    vector: asItIs,
  }));
  return laySets(course, chosen, sets);
}

/** How many copies a row over a length has, with at most `spacing` metres from one to the next. */
export const rowCount = (length: number, spacing: number): number =>
  Math.max(1, Math.round(length / Math.max(0.01, spacing)));

/**
 * Copies round a pivot: a ring of `count` in all, the chosen pieces the first of it.
 * @param course the course as it is; it stays so
 * @param choice ids of the pieces it is done to
 * @param pivot over the map: x, z
 * @param count how many stand in the ring, the first among them
 * @param sweep degrees from the first to a full turn's first again; 360 closes the ring
 * @param rise metres by which each is higher than the one before
 */
export function ringCopies(
  course: Course,
  choice: ReadonlySet<string>,
  pivot: readonly [number, number],
  count: number,
  sweep = 360,
  rise = 0,
): Copied {
  const chosen = chosenOf(course, choice);
  checkCount(course, count - 1, chosen.length);
  if (!Number.isFinite(sweep) || sweep === 0) throw new RangeError('The ring needs an angle.');
  const step = Math.abs(sweep) >= 360 ? sweep / count : sweep / (count - 1);
  const sets = Array.from({ length: count - 1 }, (_, i): CopySet => ({
    piece: (piece) => {
      const copy = turnAbout(piece, pivot, step * (i + 1));
      return { ...copy, at: add(copy.at, [0, rise * (i + 1), 0]) as Piece['at'] };
    },
    vector: (v) => turnedVector(v, step * (i + 1)),
  }));
  return laySets(course, chosen, sets);
}

/** A mirrored copy over an upright plane, for the other side. */
export function mirrorCopies(
  course: Course,
  choice: ReadonlySet<string>,
  plane: MirrorPlane,
): Copied {
  const chosen = chosenOf(course, choice);
  checkCount(course, 1, chosen.length);
  return laySets(course, chosen, [
    {
      piece: (piece) => mirrorPiece(piece, plane, course.shapes),
      vector: (v) => mirroredVector(v, plane.axis),
    },
  ]);
}
