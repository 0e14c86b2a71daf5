import type { BroadPhaseCell, World } from '../world';

/** The colliders that may touch something within the box. */
export const queryBox = (
  { broadPhase }: World,
  x0: number,
  y0: number,
  z0: number,
  x1: number,
  y1: number,
  z1: number,
): BroadPhaseCell => broadPhase.at(x0, y0, z0, x1, y1, z1);
