import { markOf } from '../../pieces';
import type { Check, CheckRule } from '../finding';

const laps: Check<'laps'> = ({ kind, pieces }) =>
  kind === 'laps' && !pieces.some((piece) => markOf(piece) === 'checkpoint')
    ? [
        {
          rule: 'laps',
          weight: 'notice',
          message:
            'Rounds without a cairn count once the runner has been well off the goal. A cairn on the far side tells them apart for sure.',
        },
      ]
    : [];

export const lapsRule: CheckRule<'laps'> = { id: 'laps', check: laps };
