import { create } from 'mutative';
import type { Course, Piece } from '../course';
import { cairnNumber, familyOf } from '../pieces';
import { freshIds } from './ids';

/** A piece before it is laid: everything but its id. */
export type PieceInHand = Pick<
  Piece,
  | 'family'
  | 'at'
  | 'turn'
  | 'size'
  | 'params'
  | 'look'
  | 'name'
  | 'flip'
  | 'outline'
  | 'line'
  | 'collision'
  | 'group'
  | 'layer'
>;

/** The course with one more piece. A cairn without a number gets the next one. */
export function layPiece(course: Course, piece: PieceInHand): Course {
  return layPieces(course, [piece]);
}

/** The course with more pieces, in the order given; their ids follow from those in use. */
export function layPieces(course: Course, pieces: readonly PieceInHand[]): Course {
  const nextId = freshIds(course);
  return create(course, (draft) => {
    for (const piece of pieces) {
      familyOf(piece.family);
      const laid: Piece = { ...piece, id: nextId() };
      if (laid.family === 'cairn' && laid.params?.number === undefined) {
        const number = nextCairnNumber(draft);
        if (number > 1) laid.params = { ...laid.params, number };
      }
      draft.pieces.push(laid);
    }
  });
}

function nextCairnNumber(course: Course): number {
  const numbers = course.pieces.filter(({ family }) => family === 'cairn').map(cairnNumber);
  return Math.max(0, ...numbers) + 1;
}

/** The course without the pieces. */
export function removePieces(course: Course, choice: ReadonlySet<string>): Course {
  return { ...course, pieces: course.pieces.filter(({ id }) => !choice.has(id)) };
}
