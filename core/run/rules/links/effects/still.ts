import { ticksOf } from '../../../world';
import type { ApplyEffect } from './effect';

/** Takes the controls away for a while. */
export const applyStill: ApplyEffect = ({ s }, { seconds = 1 }) => {
  s.stillUntil = s.tick + ticksOf(seconds);
};
