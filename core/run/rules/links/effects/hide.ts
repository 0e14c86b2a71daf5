import type { ApplyEffect } from './effect';

export const applyHide: ApplyEffect = ({ s }, _, pieces) => {
  for (const piece of pieces) s.away[piece] = 1;
};
