import type { Vec3 } from '../../geometry';

/** Side of a cell, m. */
const CELL = 4;
/** Boxes over more cells than this are listed once for everywhere. */
const MOST_CELLS = 128;
const SPAN = 2048;

interface Boxed {
  readonly index: number;
  readonly low: Vec3;
  readonly high: Vec3;
}

/** Finds the boxes near a place: a hashed grid of cubes (Teschner and others, 2003). */
export class SpatialHash {
  private readonly cells = new Map<number, number[]>();
  private readonly oversized: number[] = [];
  /** For each box the search that last came upon it. */
  private readonly seen: Int32Array;
  private search = 0;

  constructor(boxes: readonly Boxed[]) {
    this.seen = new Int32Array(boxes.reduce((most, { index }) => Math.max(most, index + 1), 0));
    for (const { index, low, high } of boxes) {
      const cells = this.cover(low[0], low[1], low[2], high[0], high[1], high[2]);
      if (!cells) {
        this.oversized.push(index);
        continue;
      }
      for (const key of cells) {
        const list = this.cells.get(key);
        if (list) list.push(index);
        else this.cells.set(key, [index]);
      }
    }
  }

  /** Indices of the boxes that may meet the box given, each once, in rising order. */
  near(x0: number, y0: number, z0: number, x1: number, y1: number, z1: number): number[] {
    const found = [...this.oversized];
    const search = ++this.search;
    for (const key of this.cover(x0, y0, z0, x1, y1, z1) ?? this.cells.keys()) {
      const cell = this.cells.get(key);
      if (!cell) continue;
      for (const index of cell) {
        if (this.seen[index] === search) continue;
        this.seen[index] = search;
        found.push(index);
      }
    }
    return found.sort((a, b) => a - b);
  }

  private cover(
    x0: number,
    y0: number,
    z0: number,
    x1: number,
    y1: number,
    z1: number,
  ): number[] | null {
    const [i0, j0, k0] = [cell(x0), cell(y0), cell(z0)];
    const [i1, j1, k1] = [cell(x1), cell(y1), cell(z1)];
    if ((i1 - i0 + 1) * (j1 - j0 + 1) * (k1 - k0 + 1) > MOST_CELLS) return null;
    const keys: number[] = [];
    for (let i = i0; i <= i1; i++) {
      for (let j = j0; j <= j1; j++) {
        for (let k = k0; k <= k1; k++) keys.push((i * SPAN + j) * SPAN + k);
      }
    }
    return keys;
  }
}

const cell = (v: number): number =>
  Math.min(SPAN - 1, Math.max(0, Math.floor(v / CELL) + SPAN / 2));
