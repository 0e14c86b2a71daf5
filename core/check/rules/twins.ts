import type { Piece } from '../../course';
import { type Check, type CheckRule, MOST_TOLD, pieceFinding } from '../finding';

const placeOf = ({ family, at }: Piece): string => `${family} ${at.map((v) => v.toFixed(2))}`;

/** Pieces of one family that stand in one place. */
const twins: Check<'twins'> = ({ pieces }) => {
  const first = new Map<string, string>();
  return pieces
    .filter((piece) => {
      const place = placeOf(piece);
      if (first.has(place)) return true;
      first.set(place, piece.id);
      return false;
    })
    .slice(0, MOST_TOLD)
    .map((piece) => ({
      ...pieceFinding(piece, 'twins', 'notice', 'Two alike pieces lie in the same place.', {
        label: 'Take one away',
        edit: { do: 'remove', id: piece.id },
      }),
      other: first.get(placeOf(piece)),
    }));
};

export const twinsRule: CheckRule<'twins'> = { id: 'twins', check: twins };
