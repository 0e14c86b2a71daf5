import { startMover } from '../../followers';
import type { ApplyEffect } from './effect';

export const applyStart: ApplyEffect = ({ s, index }, _, pieces) => {
  for (const piece of pieces) {
    for (const mover of index.movers.get(piece) ?? []) startMover(s, mover);
  }
};
