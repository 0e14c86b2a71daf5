import { breakPiece } from '../../break';
import type { ApplyEffect } from './effect';

export const applyBreak: ApplyEffect = ({ world, s, happened, say }, _, pieces) => {
  for (const piece of pieces) breakPiece(world, s, piece, happened, say);
};
