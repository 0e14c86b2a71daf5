import { markOf } from '../../pieces';
import type { Check, CheckRule } from '../finding';

/** A course without a start. */
const start: Check<'start'> = ({ pieces }) =>
  pieces.some((piece) => markOf(piece) === 'start')
    ? []
    : [
        {
          rule: 'start',
          weight: 'error',
          message: 'The course has no start.',
          fix: { label: 'Lay a start', edit: { do: 'start' } },
        },
      ];

export const startRule: CheckRule<'start'> = { id: 'start', check: start };
