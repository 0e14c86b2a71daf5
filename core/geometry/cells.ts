/**
 * Space, or the map, in cubes or squares of one size, each with a number: what lies near a place is found by
 * the cells about it. Far beyond any course places share the outermost cell.
 */
export class Cells {
  /**
   * @param side of a cell, m
   * @param flat over the map: height does not matter
   */
  constructor(
    private readonly side: number,
    private readonly flat = false,
  ) {}

  /** The number of the cell a place is in. */
  at(x: number, y: number, z: number): number {
    return keyOf(this.along(x), this.flat ? 0 : this.along(y), this.along(z));
  }

  /**
   * The numbers of the cells that a box, given by its corners, m, lies over.
   *
   * @param x0 - least x
   * @param y0 - least y
   * @param z0 - least z
   * @param x1 - greatest x
   * @param y1 - greatest y
   * @param z1 - greatest z
   * @returns null where they are more than `most`
   */
  over(x0: number, y0: number, z0: number, x1: number, y1: number, z1: number): number[] | null {
    const [i0, i1] = [this.along(x0), this.along(x1)];
    const [j0, j1] = this.flat ? [0, 0] : [this.along(y0), this.along(y1)];
    const [k0, k1] = [this.along(z0), this.along(z1)];
    if ((i1 - i0 + 1) * (j1 - j0 + 1) * (k1 - k0 + 1) > MOST_CELLS) return null;
    const keys: number[] = [];
    for (let i = i0; i <= i1; i++) {
      for (let j = j0; j <= j1; j++) {
        for (let k = k0; k <= k1; k++) keys.push(keyOf(i, j, k));
      }
    }
    return keys;
  }

  private along(v: number): number {
    return Math.min(HALF, Math.max(-HALF, Math.floor(v / this.side)));
  }
}

/** What covers more cells than this is everywhere. */
const MOST_CELLS = 128;
/** Cells to either side of the middle. */
const HALF = 32_767;
const SPAN = 2 * HALF + 2;

const keyOf = (i: number, j: number, k: number): number => (j * SPAN + i) * SPAN + k;

/** Lists of things by the number of their cell. */
export class CellLists<T> {
  private readonly lists = new Map<number, T[]>();

  put(cell: number, thing: T): void {
    const list = this.lists.get(cell);
    if (list) list.push(thing);
    else this.lists.set(cell, [thing]);
  }

  in(cell: number): readonly T[] {
    return this.lists.get(cell) ?? NOTHING;
  }

  /** The numbers of all cells that anything is in. */
  keys(): IterableIterator<number> {
    return this.lists.keys();
  }

  all(): IterableIterator<readonly T[]> {
    return this.lists.values();
  }
}

const NOTHING: readonly never[] = [];
