import type { Collider } from './collider';
import type { SpatialHash } from './spatialHash';

/** Colliders with the boxes about every place they may take: six numbers each, low before high. */
export interface Boxed {
  readonly list: readonly Collider[];
  readonly boxes: Float64Array;
}

/** The colliders that may touch something about a place. */
export interface BroadPhaseCell {
  /** The cell it is kept for, by its place along each axis. */
  readonly i: number;
  readonly j: number;
  readonly k: number;
  readonly solids: Boxed;
  /** Those of the solids that move. */
  readonly movers: Boxed;
  readonly sensors: Boxed;
}

/** A box that is asked about, m; one is filled anew for each question. */
export interface QueryBox {
  x0: number;
  y0: number;
  z0: number;
  x1: number;
  y1: number;
  z1: number;
}

export const newQueryBox = (): QueryBox => ({ x0: 0, y0: 0, z0: 0, x1: 0, y1: 0, z1: 0 });

/** Cells that are told apart along each axis. */
const SPAN = 4096;
/** Places of the table that is looked into first; a power of two. */
const SLOTS = 4096;

/**
 * The neighbourhoods of a course, gathered once for each cell that anything comes to: they depend on the
 * course alone, so that any number of runs in it share them.
 */
export class BroadPhase {
  private readonly cells = new Map<number, BroadPhaseCell>();
  // The cells asked for last, by a hash of their places: asking a map with keys this large is slow.
  private readonly slots: (BroadPhaseCell | null)[] = new Array(SLOTS).fill(null);

  /**
   * @param over how far neighbourhoods reach beyond their cells over the map, m, and `up` upwards and down:
   * half the box about a tick of what moves here. What needs more is looked for each time.
   */
  constructor(
    private readonly grid: SpatialHash,
    private readonly colliders: readonly Collider[],
    private readonly over: number,
    private readonly up: number,
  ) {}

  /** The colliders that may touch something within the box. */
  query(box: QueryBox): BroadPhaseCell {
    const { over, up } = this;
    const { x0, y0, z0, x1, y1, z1 } = box;
    if (x1 - x0 > 2 * over || y1 - y0 > 2 * up || z1 - z0 > 2 * over) {
      return this.gather(NaN, NaN, NaN, box);
    }
    // Cells have sides of a metre.
    const i = Math.floor(0.5 * (x0 + x1));
    const j = Math.floor(0.5 * (y0 + y1));
    const k = Math.floor(0.5 * (z0 + z1));
    const slot = (i + 37 * j + 1021 * k) & (SLOTS - 1);
    const known = this.slots[slot];
    if (known !== null && known.i === i && known.j === j && known.k === k) return known;
    return (this.slots[slot] = this.kept(i, j, k));
  }

  /** The neighbourhood of a cell, gathered the first time. */
  private kept(i: number, j: number, k: number): BroadPhaseCell {
    const key = ((i + SPAN / 2) * SPAN + j + SPAN / 2) * SPAN + k + SPAN / 2;
    let near = this.cells.get(key);
    if (!near) {
      const { over, up } = this;
      near = this.gather(i, j, k, {
        x0: i - over,
        y0: j - up,
        z0: k - over,
        x1: i + 1 + over,
        y1: j + 1 + up,
        z1: k + 1 + over,
      });
      this.cells.set(key, near);
    }
    return near;
  }

  private gather(i: number, j: number, k: number, box: QueryBox): BroadPhaseCell {
    const { x0, y0, z0, x1, y1, z1 } = box;
    const solids: Collider[] = [];
    const sensors: Collider[] = [];
    for (const index of this.grid.near(x0, y0, z0, x1, y1, z1)) {
      const collider = this.colliders[index];
      const { low, high } = collider;
      if (x1 < low[0] || x0 > high[0] || y1 < low[1] || y0 > high[1]) continue;
      if (z1 < low[2] || z0 > high[2]) continue;
      (collider.role === 'solid' ? solids : sensors).push(collider);
    }
    return {
      i,
      j,
      k,
      solids: boxed(solids),
      movers: boxed(solids.filter(({ mover }) => mover >= 0)),
      sensors: boxed(sensors),
    };
  }
}

function boxed(list: readonly Collider[]): Boxed {
  const boxes = new Float64Array(6 * list.length);
  for (let i = 0; i < list.length; i++) {
    boxes.set(list[i].low, 6 * i);
    boxes.set(list[i].high, 6 * i + 3);
  }
  return { list, boxes };
}
