import { BOUNDS } from '../../course';
import { pieceBounds } from '../../pieces';
import { type Check, type CheckRule, MOST_TOLD, pieceFinding } from '../finding';

/** Pieces that reach out of where a course can be. */
const outside: Check<'bounds'> = ({ pieces }) =>
  pieces
    .filter((piece) => {
      const { low, high } = pieceBounds(piece);
      return [...low, ...high].some((v) => Math.abs(v) > BOUNDS);
    })
    .slice(0, MOST_TOLD)
    .map((piece) =>
      pieceFinding(piece, 'bounds', 'error', `Reaches further than ${BOUNDS} m from the origin.`),
    );

export const boundsRule: CheckRule<'bounds'> = { id: 'bounds', check: outside };
