import type { Piece } from '@/core/course';

/** Most groups of still pieces: each takes two draw calls. */
const MOST_CHUNKS = 16;
/** Pieces for which another chunk is worth its draw calls. */
const PER_CHUNK = 40;

/** What the bounds of all groups together go up by, m. */
const STEP = 8;

/**
 * Pieces in groups that are drawn at once. Pieces that stand near go together, so that what is out
 * of sight is left out, and an edit touches one group. A group none of whose pieces changed stays
 * the same array.
 */
export function chunkPieces(
  pieces: readonly Piece[],
  before: ReadonlyMap<string, readonly Piece[]>,
  most = MOST_CHUNKS,
): Map<string, readonly Piece[]> {
  const count = Math.min(most, Math.ceil(pieces.length / PER_CHUNK));
  let [x0, x1, z0, z1] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { at } of pieces) {
    x0 = Math.min(x0, at[0]);
    x1 = Math.max(x1, at[0]);
    z0 = Math.min(z0, at[2]);
    z1 = Math.max(z1, at[2]);
  }
  // In whole steps, so that an outermost piece that moves a little does not shift every group's bounds.
  x0 = STEP * Math.floor(x0 / STEP);
  z0 = STEP * Math.floor(z0 / STEP);
  const width = STEP * Math.floor(1 + (x1 - x0) / STEP);
  const depth = STEP * Math.floor(1 + (z1 - z0) / STEP);
  const columns = Math.min(count, Math.max(1, Math.round(Math.sqrt((count * width) / depth))));
  const rows = Math.max(1, Math.floor(count / columns));
  const groups = Array.from({ length: columns * rows }, (): Piece[] => []);
  for (const piece of pieces) {
    const column = Math.floor(((piece.at[0] - x0) / width) * columns);
    const row = Math.floor(((piece.at[2] - z0) / depth) * rows);
    groups[row * columns + column].push(piece);
  }
  const out = new Map<string, readonly Piece[]>();
  for (const [place, group] of groups.entries()) {
    if (group.length === 0) continue;
    const key = `${columns}x${rows}:${place}`;
    const old = before.get(key);
    const same = old?.length === group.length && old.every((piece, i) => piece === group[i]);
    out.set(key, same ? old : group);
  }
  return out;
}

/** Groups pieces again and again, each time keeping the groups of the last time that are unchanged. */
export function newChunker(
  most = MOST_CHUNKS,
): (pieces: readonly Piece[]) => ReadonlyMap<string, readonly Piece[]> {
  let before: ReadonlyMap<string, readonly Piece[]> = new Map();
  return (pieces) => (before = chunkPieces(pieces, before, most));
}
