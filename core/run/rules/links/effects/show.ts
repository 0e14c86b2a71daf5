import type { RunState } from '../../../state';
import type { ApplyEffect } from './effect';

/** Has pieces be there again, as whole as at first. */
export const applyShow: ApplyEffect = ({ s }, _, pieces) => {
  for (const piece of pieces) show(s, piece);
};

export function show(s: RunState, piece: number): void {
  if (s.away[piece] === 0) return;
  s.away[piece] = 0;
  if (s.hits.length > 0) s.hits[piece] = 0;
}
