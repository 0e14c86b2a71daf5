import { tideOf } from '../../../state';
import { ticksOf } from '../../../world';
import type { ApplyEffect } from './effect';

/** Has the tide line go to a height, m, within so many seconds. */
export const applyTide: ApplyEffect = ({ s }, { value = 1, seconds = 1 }) => {
  s.tideFrom = tideOf(s);
  s.tideTo = value;
  s.tideTick = s.tick;
  s.tideTicks = ticksOf(seconds);
};
