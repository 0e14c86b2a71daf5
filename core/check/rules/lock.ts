import { EFFECT_TRAITS } from '../../course';
import { findFamily, gatherableOf, specOf } from '../../pieces';
import { type Check, type CheckRule, type Fix, MOST_TOLD, pieceFinding } from '../finding';

/** A goal or gate that asks for more than is laid never opens, unless a link opens it. */
const lock: Check<'lock'> = (course) => {
  const locked = course.pieces.flatMap((piece) => {
    const family = findFamily(piece.family);
    if (!family?.params.some(({ key }) => key === 'amount')) return [];
    const { number, choice } = specOf(family, piece);
    const opens = choice('opens');
    return opens === 'count' || opens === 'worth'
      ? [{ piece, opens, amount: number('amount') ?? 0, label: family.label } as const]
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
    .map(({ piece, opens, amount, label }) => {
      const most = Math.floor(laid[opens]);
      return pieceFinding(
        piece,
        'lock',
        'error',
        `The ${label.toLowerCase()} opens once ${WORDS[opens].asked(amount)}, but ${most === 0 ? 'nothing to gather is laid' : WORDS[opens].laid(most)}.`,
        most === 0 ? undefined : askFor(piece.id, most),
      );
    });
};

const WORDS = {
  count: {
    asked: (amount: number) => `${amount} are gathered`,
    laid: (most: number) => `only ${most} ${most === 1 ? 'is' : 'are'} laid`,
  },
  worth: {
    asked: (amount: number) => `a worth of ${amount} is gathered`,
    laid: (most: number) => `all that is laid is worth ${most}`,
  },
} as const;

const askFor = (id: string, value: number): Fix => ({
  label: `Ask for ${value}`,
  edit: { do: 'param', id, key: 'amount', value },
});

export const lockRule: CheckRule<'lock'> = { id: 'lock', check: lock };
