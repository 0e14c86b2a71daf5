import type { Collider } from './collider';
import type { Grid } from './grid';
import type { World } from './world';

/** The colliders that may touch something about a place. */
export interface Near {
  readonly solids: Collider[];
  readonly movers: Collider[];
  readonly sensors: Collider[];
}

/** Side of the cells that neighbourhoods are kept for, and how far they reach beyond, m. */
const CELL = 2;
const BEYOND = 1.6;
const SPAN = 4096;

/**
 * The neighbourhoods of a course, gathered once for each cell that anything comes to: they depend on the
 * course alone, so that any number of runs in it share them.
 */
export class Neighbourhoods {
  private readonly cells = new Map<number, Near>();
  private last = NaN;
  private lastNear: Near | null = null;

  constructor(
    private readonly grid: Grid,
    private readonly colliders: readonly Collider[],
  ) {}

  /** The colliders that may touch something within the box. */
  at(x0: number, y0: number, z0: number, x1: number, y1: number, z1: number): Near {
    if (x1 - x0 > 2 * BEYOND || y1 - y0 > 2 * BEYOND || z1 - z0 > 2 * BEYOND) {
      return this.gather(x0, y0, z0, x1, y1, z1);
    }
    const i = Math.floor((x0 + x1) / (2 * CELL));
    const j = Math.floor((y0 + y1) / (2 * CELL));
    const k = Math.floor((z0 + z1) / (2 * CELL));
    const key = ((i + SPAN / 2) * SPAN + j + SPAN / 2) * SPAN + k + SPAN / 2;
    if (key === this.last) return this.lastNear!;
    let near = this.cells.get(key);
    if (!near) {
      const [x, y, z] = [i * CELL, j * CELL, k * CELL];
      const to = CELL + BEYOND;
      near = this.gather(x - BEYOND, y - BEYOND, z - BEYOND, x + to, y + to, z + to);
      this.cells.set(key, near);
    }
    this.last = key;
    this.lastNear = near;
    return near;
  }

  private gather(x0: number, y0: number, z0: number, x1: number, y1: number, z1: number): Near {
    const near: Near = { solids: [], movers: [], sensors: [] };
    for (const index of this.grid.near(x0, y0, z0, x1, y1, z1)) {
      const collider = this.colliders[index];
      const { low, high } = collider;
      if (x1 < low[0] || x0 > high[0] || y1 < low[1] || y0 > high[1]) continue;
      if (z1 < low[2] || z0 > high[2]) continue;
      if (collider.role !== 'solid') near.sensors.push(collider);
      else {
        near.solids.push(collider);
        if (collider.mover >= 0) near.movers.push(collider);
      }
    }
    return near;
  }
}

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
