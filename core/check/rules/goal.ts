import { markOf } from '../../pieces';
import type { Check, CheckRule } from '../finding';

const goal: Check<'goal'> = ({ pieces }) =>
  pieces.some((piece) => markOf(piece) === 'goal')
    ? []
    : [{ rule: 'goal', weight: 'error', message: 'The course has no goal. Lay a lantern.' }];

export const goalRule: CheckRule<'goal'> = { id: 'goal', check: goal };
