import type { Piece } from '../course';
import { pieceBounds } from '../pieces';

/** Side of a cell over the map, m. */
const CELL = 8;
/** Pieces over more cells than this are near everything. */
const MOST_CELLS = 64;

interface Cells {
  readonly cells: Map<number, Piece[]>;
  readonly wide: Piece[];
}
const known = new WeakMap<readonly Piece[], Cells>();
const keyOf = (i: number, k: number): number => i * 65536 + k;

/** Pieces by the cells of the map they stand over; made once for each state of a course. */
function cellsOf(pieces: readonly Piece[]): Cells {
  let found = known.get(pieces);
  if (found) return found;
  found = { cells: new Map(), wide: [] };
  for (const piece of pieces) {
    const { low, high } = pieceBounds(piece);
    const [i0, i1] = [Math.floor(low[0] / CELL), Math.floor(high[0] / CELL)];
    const [k0, k1] = [Math.floor(low[2] / CELL), Math.floor(high[2] / CELL)];
    if ((i1 - i0 + 1) * (k1 - k0 + 1) > MOST_CELLS) {
      found.wide.push(piece);
      continue;
    }
    for (let i = i0; i <= i1; i++) {
      for (let k = k0; k <= k1; k++) {
        const key = keyOf(i, k);
        const list = found.cells.get(key);
        if (list) list.push(piece);
        else found.cells.set(key, [piece]);
      }
    }
  }
  known.set(pieces, found);
  return found;
}

/** The pieces that may stand over a rectangle of the map, each once, in no order that matters. */
export function piecesOver(
  pieces: readonly Piece[],
  x0: number,
  z0: number,
  x1: number,
  z1: number,
): Piece[] {
  const { cells, wide } = cellsOf(pieces);
  const found = new Set(wide);
  for (let i = Math.floor(x0 / CELL); i <= Math.floor(x1 / CELL); i++) {
    for (let k = Math.floor(z0 / CELL); k <= Math.floor(z1 / CELL); k++) {
      for (const piece of cells.get(keyOf(i, k)) ?? []) found.add(piece);
    }
  }
  return [...found];
}
