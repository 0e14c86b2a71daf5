import type { Vec3 } from '../geometry';
import type { MovingBall } from './ball';

/** A ball at a place, and the displacement it is to make, m. */
export const ballAt = (
  [x, y, z]: Vec3,
  radius: number,
  [dx, dy, dz]: Vec3 = [0, 0, 0],
): MovingBall => ({
  x,
  y,
  z,
  radius,
  dx,
  dy,
  dz,
});
