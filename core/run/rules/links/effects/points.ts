import type { ApplyEffect } from './effect';

export const applyPoints: ApplyEffect = ({ s }, { value = 1 }) => {
  s.worth += value;
};
