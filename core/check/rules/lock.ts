import { EFFECT_TRAITS } from '../../course';
import { findFamily, gatherableOf, specOf } from '../../pieces';
import { type Check, type CheckRule, MOST_TOLD, pieceFinding } from '../finding';

/** A goal or gate that asks for more than is laid never opens, unless a link opens it. */
const lock: Check<'lock'> = (course) => {
  const locked = course.pieces.flatMap((piece) => {
    const family = findFamily(piece.family);
    if (!family?.params.some(({ key }) => key === 'amount')) return [];
    const { number, choice } = specOf(family, piece);
    const opens = choice('opens');
    return opens === 'count' || opens === 'worth'
      ? [{ piece, opens, amount: number('amount') ?? 0 } as const]
      : [];
  });
  if (locked.length === 0) return [];
  const opened = new Set(
    (course.links ?? []).flatMap(({ effects }) =>
      effects.flatMap(({ kind, pieces = [] }) => (EFFECT_TRAITS[kind].opens ? pieces : [])),
    ),
  );
  const laid = gatherableOf(course);
  return locked
    .filter(({ piece, opens, amount }) => amount > laid[opens] && !opened.has(piece.id))
    .slice(0, MOST_TOLD)
    .map(({ piece, opens, amount }) => {
      const most = Math.floor(laid[opens]);
      const asked = opens === 'count' ? `${amount} gathered` : `a worth of ${amount}`;
      const there = most === 0 ? 'there is nothing to gather' : `only ${most} can be had`;
      return pieceFinding(
        piece,
        'lock',
        'error',
        `The ${findFamily(piece.family)!.label.toLowerCase()} opens at ${asked}, and ${there}.`,
        most === 0
          ? undefined
          : {
              label: `Ask for ${most}`,
              edit: { do: 'param', id: piece.id, key: 'amount', value: most },
            },
      );
    });
};

export const lockRule: CheckRule<'lock'> = { id: 'lock', check: lock };
