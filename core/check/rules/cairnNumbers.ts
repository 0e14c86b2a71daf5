import { checkpointNumber, legOf, markOf } from '../../pieces';
import { type Check, type CheckRule, MOST_TOLD, pieceFinding } from '../finding';

const checkpointNumbers: Check<'cairn-numbers'> = ({ pieces }) => {
  const seen = new Set<string>();
  return pieces
    .filter((piece) => {
      if (markOf(piece) !== 'checkpoint') return false;
      const place = `${legOf(piece)} ${checkpointNumber(piece)}`;
      return seen.size === seen.add(place).size;
    })
    .slice(0, MOST_TOLD)
    .map((piece) =>
      pieceFinding(
        piece,
        'cairn-numbers',
        'notice',
        `Two checkpoints carry the number ${checkpointNumber(piece)}.`,
      ),
    );
};

export const cairnNumbersRule: CheckRule<'cairn-numbers'> = {
  id: 'cairn-numbers',
  check: checkpointNumbers,
};
