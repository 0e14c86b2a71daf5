import type { Collider } from './collider';
import type { World } from './world';

/** The colliders about something that moves, kept until it leaves the box they were gathered for. */
export interface Near {
  x0: number;
  y0: number;
  z0: number;
  x1: number;
  y1: number;
  z1: number;
  solids: Collider[];
  movers: Collider[];
  sensors: Collider[];
}

export const newNear = (): Near => ({
  ...{ x0: 1, y0: 1, z0: 1, x1: 0, y1: 0, z1: 0 },
  solids: [],
  movers: [],
  sensors: [],
});

/** How far beyond what is asked for the neighbourhood is gathered, m. */
const MARGIN = 2;

/** The colliders that may touch something within the box; kept apart for each `keeper`, 0 the runner. */
export function nearBox(
  { nears, grid, colliders }: World,
  keeper: number,
  x0: number,
  y0: number,
  z0: number,
  x1: number,
  y1: number,
  z1: number,
): Near {
  const near = nears[keeper];
  if (
    x0 >= near.x0 &&
    y0 >= near.y0 &&
    z0 >= near.z0 &&
    x1 <= near.x1 &&
    y1 <= near.y1 &&
    z1 <= near.z1
  ) {
    return near;
  }
  near.x0 = x0 - MARGIN;
  near.y0 = y0 - MARGIN;
  near.z0 = z0 - MARGIN;
  near.x1 = x1 + MARGIN;
  near.y1 = y1 + MARGIN;
  near.z1 = z1 + MARGIN;
  near.solids = [];
  near.movers = [];
  near.sensors = [];
  for (const index of grid.near(near.x0, near.y0, near.z0, near.x1, near.y1, near.z1)) {
    const collider = colliders[index];
    const { low, high } = collider;
    if (near.x1 < low[0] || near.x0 > high[0] || near.y1 < low[1] || near.y0 > high[1]) continue;
    if (near.z1 < low[2] || near.z0 > high[2]) continue;
    if (collider.role !== 'solid') near.sensors.push(collider);
    else {
      near.solids.push(collider);
      if (collider.mover >= 0) near.movers.push(collider);
    }
  }
  return near;
}
