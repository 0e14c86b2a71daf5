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
      const [asked, there] =
        opens === 'count'
          ? [`${amount} are gathered`, `only ${most} ${most === 1 ? 'is' : 'are'} laid`]
          : [`a worth of ${amount} is gathered`, `all that is laid is worth ${most}`];
      return pieceFinding(
        piece,
        'lock',
        'error',
        `The ${findFamily(piece.family)!.label.toLowerCase()} opens once ${asked}, but ${most === 0 ? 'nothing to gather is laid' : there}.`,
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
