import { spotAt } from '../../../world';
import { teleport } from '../../../contact';
import type { ApplyEffect } from './effect';

/** Puts the runner on the first of the pieces, to go on at once. */
export const applyCarry: ApplyEffect = ({ world, s }, _, [to]) => {
  if (to === undefined) return false;
  const { at, turn } = world.pieces[to];
  teleport(world, s, spotAt(at, turn?.[1] ?? 0));
  s.rest = 0;
  return true;
};
