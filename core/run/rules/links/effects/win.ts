import { DT } from '../../../world';
import type { ApplyEffect } from './effect';

export const applyWin: ApplyEffect = ({ s, say }) => {
  s.finish = s.tick * DT;
  say('goal');
  return true;
};
