import { until, type ApplyEffect } from './effect';

/** Opens gates, for so long; what is no gate is away from then on. */
export const applyOpen: ApplyEffect = ({ world, s }, { seconds }, pieces) => {
  for (const piece of pieces) {
    const gate = world.pieceGates[piece];
    if (gate >= 0) s.gates[gate] = until(s, seconds);
    else s.away[piece] = 1;
  }
};
