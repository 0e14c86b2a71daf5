import { until, type ApplyEffect } from './effect';

export const applyGravity: ApplyEffect = ({ s }, { value = 1, seconds }) => {
  s.gravityBy = value;
  s.gravityUntil = until(s, seconds);
};
