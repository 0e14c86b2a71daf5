import type { Piece } from '../../course';
import { aboutAxis } from '../../motion';
import { turnedFurther } from './images';
import type { PieceInHand } from './lay';
import { setTurn, wrapTurn } from './place';

/** Another of a laid piece, as like it as may be: a checkpoint gets a number of its own when it is laid. */
export function anotherOf({ id: _, twin: __, params, mark, ...piece }: Piece): PieceInHand {
  const { number: ___, ...others } = params ?? {};
  const kept = piece.family === 'cairn' ? others : params;
  const { number: ____, ...marked } = mark ?? {};
  return {
    ...piece,
    ...(Object.keys(marked).length > 0 ? { mark: marked } : {}),
    ...(kept && Object.keys(kept).length > 0 ? { params: kept } : {}),
  };
}

/** What ties a piece to others, or is only its own. */
const TIES = ['group', 'attach', 'hidden', 'locked', 'name'] as const;

/** A laid piece to be taken in hand: with its size, turn, look and behaviour, and without its ties. */
export function pieceLike(piece: Piece): PieceInHand {
  const like: Partial<Piece> & PieceInHand = structuredClone(anotherOf(piece));
  for (const tie of TIES) delete like[tie];
  return like;
}

/** A piece in hand turned by degrees about one of the world's axes. */
export function turnInHand(piece: PieceInHand, axis: 0 | 1 | 2, degrees: number): PieceInHand {
  const [x, y, z] = piece.turn ?? [0, 0, 0];
  const next = { ...piece };
  if (axis === 1 && x === 0 && z === 0) {
    // About the upright the heading alone changes, with nothing lost to rounding.
    setTurn(next as Piece, [0, wrapTurn(y + degrees), 0]);
    return next;
  }
  const unit: [number, number, number] = [0, 0, 0];
  unit[axis] = 1;
  setTurn(next as Piece, turnedFurther(piece.turn, aboutAxis(unit, degrees)));
  return next;
}
