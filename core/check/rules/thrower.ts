import { findFamily } from '../../pieces';
import { type Check, type CheckRule, type Finding, pieceFinding } from '../finding';

/** Throwers send out something that is no thrower, of a family there is. */
const throwers: Check<'thrower'> = ({ pieces }) =>
  pieces.flatMap((piece): Finding<'thrower'>[] => {
    if (!piece.thrower) return [];
    const { what, life, interval, most = 6 } = piece.thrower;
    if (!findFamily(what)) {
      return [
        pieceFinding(piece, 'thrower', 'error', `It sends out “${what}”, which is no piece.`),
      ];
    }
    return life / interval > most + 1
      ? [
          pieceFinding(
            piece,
            'thrower',
            'notice',
            `It would have ${Math.ceil(life / interval)} copies at once and may have ${most}: some are not sent.`,
          ),
        ]
      : [];
  });

export const throwerRule: CheckRule<'thrower'> = { id: 'thrower', check: throwers };
