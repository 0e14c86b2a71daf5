import type { Piece } from '../../course';
import { familyOf, specOf } from '../../pieces';
import { type Check, type CheckRule, type Finding, MOST_TOLD, pieceFinding } from '../finding';

/** Portals and gates work by their numbers: each needs another with the same one. */
const pairs: Check<'pairs'> = ({ pieces }) => {
  const numberOf = (piece: Piece) => specOf(familyOf(piece.family), piece).number('pair');
  const of = (family: string) => pieces.filter((piece) => piece.family === family);
  /** Those whose number fewer of the others have than they need. */
  const alone = (
    list: readonly Piece[],
    others: readonly Piece[],
    needs: number,
    message: (number: number) => string,
  ): Finding<'pairs'>[] => {
    const counts = new Map<number, number>();
    for (const other of others) counts.set(numberOf(other), (counts.get(numberOf(other)) ?? 0) + 1);
    return list
      .filter((piece) => (counts.get(numberOf(piece)) ?? 0) < needs)
      .slice(0, MOST_TOLD)
      .map((piece) => pieceFinding(piece, 'pairs', 'notice', message(numberOf(piece))));
  };
  const [portals, gates, switches] = [of('portal'), of('gate'), of('switch')];
  // A gate that is opened otherwise needs no switch.
  const paired = gates.filter(
    (piece) => specOf(familyOf(piece.family), piece).choice('opens') === 'pair',
  );
  return [
    ...alone(portals, portals, 2, (n) => `No other portal has the number ${n}; it leads nowhere.`),
    ...alone(paired, switches, 1, (n) => `No switch has the number ${n}; this gate never opens.`),
    ...alone(switches, gates, 1, (n) => `No gate has the number ${n}; this switch opens nothing.`),
  ];
};

export const pairsRule: CheckRule<'pairs'> = { id: 'pairs', check: pairs };
