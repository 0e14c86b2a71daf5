import { until, type ApplyEffect } from './effect';

export const applySpeed: ApplyEffect = ({ s }, { value = 1, seconds }) => {
  s.speedBy = value;
  s.speedUntil = until(s, seconds);
};
