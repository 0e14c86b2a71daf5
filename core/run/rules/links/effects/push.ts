import type { ApplyEffect } from './effect';

/** Gives the runner speed, m/s: more of it over the map, and a new one upwards. */
export const applyPush: ApplyEffect = ({ world, s }, { by, value = 1 }) => {
  const [x, y, z] = by ?? [0, value, 0];
  s.vx += x;
  s.vz += world.lane === null ? z : 0;
  if (y !== 0) {
    s.vy = y;
    s.ground = -1;
    s.coyote = 0;
    s.rising = false;
  }
};
