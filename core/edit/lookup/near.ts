import type { Piece } from '../../course';
import { Cells } from '../../geometry';
import { pieceBounds } from '../../pieces';
import { PersistentGrid, incrementalIndex } from './persistentGrid';

const CELLS = new Cells(8, true);

/** Pieces by where they stand on the map. */
interface Standing {
  readonly cells: PersistentGrid<Piece>;
  readonly wide: ReadonlySet<Piece>;
}

/** The cells a piece stands over; null where it is near everything. */
function cellsUnder(piece: Piece): number[] | null {
  const { low, high } = pieceBounds(piece);
  return CELLS.over(low[0], 0, low[2], high[0], 0, high[2]);
}

const standingOf = incrementalIndex<Standing>(
  { cells: PersistentGrid.none, wide: new Set() },
  (before, { gone, come }) => {
    const wide = new Set(before.wide);
    const celled = (pieces: readonly Piece[]) =>
      pieces.flatMap((piece) => (cellsUnder(piece) ?? []).map((cell) => [cell, piece] as const));
    for (const piece of gone) wide.delete(piece);
    for (const piece of come) if (cellsUnder(piece) === null) wide.add(piece);
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
  const over = CELLS.over(x0, 0, z0, x1, 0, z1);
  // Over so much of the map nearly every piece is among them.
  if (!over) return [...pieces];
  const found = new Set(wide);
  for (const cell of over) for (const piece of cells.in(cell)) found.add(piece);
  return [...found];
}
