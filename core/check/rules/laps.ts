import { markOf } from '../../pieces';
import type { Check, CheckRule } from '../finding';

const laps: Check<'laps'> = ({ kind, pieces }) =>
  kind === 'laps' && !pieces.some((piece) => markOf(piece) === 'checkpoint')
    ? [
        {
          rule: 'laps',
          weight: 'error',
          message: 'Rounds need at least one cairn to tell one from the next.',
        },
      ]
    : [];

export const lapsRule: CheckRule<'laps'> = { id: 'laps', check: laps };
