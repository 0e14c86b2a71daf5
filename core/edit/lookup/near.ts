import type { Piece } from '../../course';
import { pieceBounds } from '../../pieces';
import { PersistentGrid, incrementalIndex } from './persistentGrid';

/** Side of a cell over the map, m. */
const CELL = 8;
/** Pieces over more cells than this are near everything. */
const MOST_CELLS = 64;

/** Pieces by where they stand on the map. */
interface Standing {
  readonly cells: PersistentGrid<Piece>;
  readonly wide: ReadonlySet<Piece>;
}
const keyOf = (i: number, k: number): number => i * 65536 + k;

/** The cells a piece stands over; none where they are too many. */
function cellsUnder(piece: Piece): number[] {
  const { low, high } = pieceBounds(piece);
  const [i0, i1] = [Math.floor(low[0] / CELL), Math.floor(high[0] / CELL)];
  const [k0, k1] = [Math.floor(low[2] / CELL), Math.floor(high[2] / CELL)];
  const keys: number[] = [];
  if ((i1 - i0 + 1) * (k1 - k0 + 1) > MOST_CELLS) return keys;
  for (let i = i0; i <= i1; i++) for (let k = k0; k <= k1; k++) keys.push(keyOf(i, k));
  return keys;
}

const standingOf = incrementalIndex<Standing>(
  { cells: PersistentGrid.none, wide: new Set() },
  (before, { gone, come }) => {
    const wide = new Set(before.wide);
    const celled = (pieces: readonly Piece[]) =>
      pieces.flatMap((piece) => cellsUnder(piece).map((cell) => [cell, piece] as const));
    for (const piece of gone) wide.delete(piece);
    for (const piece of come) if (cellsUnder(piece).length === 0) wide.add(piece);
    return { cells: before.cells.changed(celled(gone), celled(come)), wide };
  },
);

/**
 * The pieces that may stand over a rectangle of the map, each once, in no order that matters.
 * @param pieces all pieces
 * @param x0 least x over the map, m
 * @param z0 least z, m
 * @param x1 greatest x, m
 * @param z1 greatest z, m
 */
export function piecesOver(
  pieces: readonly Piece[],
  x0: number,
  z0: number,
  x1: number,
  z1: number,
): Piece[] {
  const { cells, wide } = standingOf(pieces);
  const found = new Set(wide);
  for (let i = Math.floor(x0 / CELL); i <= Math.floor(x1 / CELL); i++) {
    for (let k = Math.floor(z0 / CELL); k <= Math.floor(z1 / CELL); k++) {
      for (const piece of cells.in(keyOf(i, k))) found.add(piece);
    }
  }
  return [...found];
}
