import type { Near, World } from '../world';

/** The colliders that may touch something within the box. */
export const nearBox = (
  { near }: World,
  x0: number,
  y0: number,
  z0: number,
  x1: number,
  y1: number,
  z1: number,
): Near => near.at(x0, y0, z0, x1, y1, z1);
