import { stopMover } from '../../followers';
import type { ApplyEffect } from './effect';

export const applyStop: ApplyEffect = ({ s, index }, _, pieces) => {
  for (const piece of pieces) {
    for (const mover of index.movers.get(piece) ?? []) stopMover(s, mover);
  }
};
