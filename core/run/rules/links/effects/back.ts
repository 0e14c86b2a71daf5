import { respawn } from '../../../contact';
import type { ApplyEffect } from './effect';

export const applyBack: ApplyEffect = ({ world, s, say }) => {
  s.falls++;
  respawn(world, s, say);
  return true;
};
