import { show } from './show';
import type { ApplyEffect } from './effect';

/** Shuts gates; what is no gate is there again. */
export const applyShut: ApplyEffect = ({ world, s }, _, pieces) => {
  for (const piece of pieces) {
    const gate = world.pieceGates[piece];
    if (gate >= 0) s.gates[gate] = -1;
    else show(s, piece);
  }
};
