import { until, type ApplyEffect } from './effect';

export const applySize: ApplyEffect = ({ world, s }, { value = 1, seconds }) => {
  s.size = world.sizeIndex(value);
  s.sizeUntil = until(s, seconds);
};
