import { CellLists, Cells, type Vec3 } from '../../geometry';

const CELLS = new Cells(4);

interface Boxed {
  readonly index: number;
  readonly low: Vec3;
  readonly high: Vec3;
}

/** Finds the boxes near a place: a hashed grid of cubes (Teschner and others, 2003). */
export class SpatialHash {
  private readonly lists = new CellLists<number>();
  private readonly oversized: number[] = [];
  /** For each box the search that last came upon it. */
  private readonly seen: Int32Array;
  private search = 0;

  constructor(boxes: readonly Boxed[]) {
    this.seen = new Int32Array(boxes.reduce((most, { index }) => Math.max(most, index + 1), 0));
    for (const { index, low, high } of boxes) {
      const cells = CELLS.over(low[0], low[1], low[2], high[0], high[1], high[2]);
      if (cells) for (const cell of cells) this.lists.put(cell, index);
      else this.oversized.push(index);
    }
  }

  /** Indices of the boxes that may meet the box given, each once, in rising order. */
  near(x0: number, y0: number, z0: number, x1: number, y1: number, z1: number): number[] {
    const found = [...this.oversized];
    const search = ++this.search;
    for (const cell of CELLS.over(x0, y0, z0, x1, y1, z1) ?? this.lists.keys()) {
      for (const index of this.lists.in(cell)) {
        if (this.seen[index] === search) continue;
        this.seen[index] = search;
        found.push(index);
      }
    }
    return found.sort((a, b) => a - b);
  }
}
