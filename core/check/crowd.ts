import type { Course, Piece } from '../course';
import { CellLists, Cells, type Vec3 } from '../geometry';

/** Side of the cubes that pieces are counted in, m. */
export const CELL = 4;
/** Pieces in one of them beyond which nobody laid them one by one, and how they join is not looked at. */
export const CROWD = 250;
/** Pairs of pieces that one rule looks at: more would take seconds. */
export const MOST_PAIRS = 400_000;

const CELLS = new Cells(CELL);

/** The pieces that do not stand in a crowd, and the places of the crowds. */
export interface Sparse {
  readonly pieces: Course['pieces'];
  readonly crowds: readonly { readonly at: Vec3; readonly count: number; readonly piece: string }[];
}
const known = new WeakMap<readonly Piece[], Sparse>();

/** What of a course's pieces rules that hold each against its neighbours look at. */
export function sparseOf({ pieces }: Pick<Course, 'pieces'>): Sparse {
  let sparse = known.get(pieces);
  if (!sparse) {
    const cells = new CellLists<Piece>();
    for (const piece of pieces) cells.put(CELLS.at(...piece.at), piece);
    const crowded = [...cells.all()].filter((list) => list.length > CROWD);
    const left = new Set(crowded.flat());
    sparse = {
      pieces: left.size === 0 ? pieces : pieces.filter((piece) => !left.has(piece)),
      crowds: crowded.map(([{ id, at }, ...more]) => ({ at, count: more.length + 1, piece: id })),
    };
    known.set(pieces, sparse);
  }
  return sparse;
}
