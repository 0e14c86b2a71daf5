import { type Mark, legOf, markOf } from '../../pieces';
import type { Check, CheckRule, Finding } from '../finding';

/** Every leg has a start and a goal. */
const legs: Check<'leg'> = ({ pieces, legs: told = [] }) =>
  told.flatMap((_, i): Finding<'leg'>[] => {
    const has = (mark: Mark) =>
      pieces.some((piece) => markOf(piece) === mark && legOf(piece) === i + 1);
    const missing = (['start', 'goal'] as const).filter((mark) => !has(mark));
    if (missing.length === 0) return [];
    return [
      { rule: 'leg', weight: 'error', message: `Leg ${i + 1} has no ${missing.join(' and no ')}.` },
    ];
  });

export const legRule: CheckRule<'leg'> = { id: 'leg', check: legs };
