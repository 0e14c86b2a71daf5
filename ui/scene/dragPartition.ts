import type { Piece } from '@/core/course';

/** Pieces in two lists: those that stay as they are, and those that something is being done to. */
export interface Apart {
  readonly rest: readonly Piece[];
  readonly apart: readonly Piece[];
}

const NONE: readonly Piece[] = [];

/**
 * Tells pieces that a drag changes apart from the rest, again and again. The rest stays the same list all
 * through the drag, so that what was made of thousands of pieces need not be made anew for each move.
 */
export function dragPartition(): (pieces: readonly Piece[], dragging: boolean) => Apart {
  let base: readonly Piece[] | null = null;
  let byId: ReadonlyMap<string, Piece> | null = null;
  let out = new Set<string>();
  let rest: readonly Piece[] = NONE;
  let places: number[] = [];
  return (pieces, dragging) => {
    if (!dragging || base === null) {
      base = dragging ? pieces : null;
      byId = null;
      out = new Set();
      rest = pieces;
      return { rest, apart: NONE };
    }
    const before = out.size;
    const aligned = pieces.length === base.length;
    for (let i = 0; i < pieces.length; i++) {
      const piece = pieces[i];
      if (piece === base[i]) continue;
      if (aligned && piece.id === base[i].id) out.add(piece.id);
      else if ((byId ??= byIdOf(base)).get(piece.id) !== piece) out.add(piece.id);
    }
    if (out.size !== before || !aligned) {
      places = [];
      for (let i = 0; i < pieces.length; i++) if (out.has(pieces[i].id)) places.push(i);
      const here = aligned ? null : byIdOf(pieces);
      const stays = base.filter(({ id }) => !out.has(id) && (here === null || here.has(id)));
      if (stays.length !== rest.length || stays.some((piece, i) => piece !== rest[i])) rest = stays;
    }
    return { rest, apart: out.size === 0 ? NONE : places.map((i) => pieces[i]) };
  };
}

const byIdOf = (pieces: readonly Piece[]): ReadonlyMap<string, Piece> =>
  new Map(pieces.map((piece) => [piece.id, piece]));
