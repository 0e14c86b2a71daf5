import type { Piece } from '../../course';
import { checkpointNumber, legOf, markOf } from '../../pieces';
import { type Check, type CheckRule, pieceFinding } from '../finding';

/** Checkpoints in turn leave out no number. */
const checkpointGaps: Check<'cairn-gap'> = ({ pieces, order }) => {
  if (order === 'free') return [];
  const first = new Map<string, Piece>();
  const place = (leg: number, number: number) => `${leg} ${number}`;
  for (const piece of pieces) {
    if (markOf(piece) !== 'checkpoint') continue;
    const key = place(legOf(piece), checkpointNumber(piece));
    if (!first.has(key)) first.set(key, piece);
  }
  return [...first.values()].flatMap((piece) => {
    const number = checkpointNumber(piece);
    if (number === 1 || first.has(place(legOf(piece), number - 1))) return [];
    return [
      pieceFinding(
        piece,
        'cairn-gap',
        'notice',
        `There is no checkpoint ${number - 1} before checkpoint ${number}.`,
      ),
    ];
  });
};

export const cairnGapRule: CheckRule<'cairn-gap'> = { id: 'cairn-gap', check: checkpointGaps };
