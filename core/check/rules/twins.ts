import { type Check, type CheckRule, MOST_TOLD, pieceFinding } from '../finding';

const twins: Check<'twins'> = ({ pieces }) => {
  const seen = new Set<string>();
  return pieces
    .filter((piece) => {
      const place = `${piece.family} ${piece.at.map((v) => v.toFixed(2))}`;
      return seen.size === seen.add(place).size;
    })
    .slice(0, MOST_TOLD)
    .map((piece) =>
      pieceFinding(piece, 'twins', 'notice', 'Two alike pieces lie in the same place.', {
        label: 'Take one away',
        edit: { do: 'remove', id: piece.id },
      }),
    );
};

export const twinsRule: CheckRule<'twins'> = { id: 'twins', check: twins };
