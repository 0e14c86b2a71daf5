import type { Piece } from '../../course';
import { distanceToBox, type Vec3 } from '../../geometry';
import { pieceBounds } from '../../pieces';

/** A piece that is not as it was. */
export interface PieceChange {
  readonly id: string;
  readonly before: Piece | null;
  readonly after: Piece | null;
}

/** The pieces that differ between two states of a course. */
export function changesOf(before: readonly Piece[], after: readonly Piece[]): PieceChange[] {
  const old = new Map(before.map((piece) => [piece.id, piece]));
  const changes: PieceChange[] = [];
  for (const piece of after) {
    const was = old.get(piece.id) ?? null;
    old.delete(piece.id);
    // Most are the very same object; a copy of it may have come from elsewhere.
    if (was === piece || (was && JSON.stringify(was) === JSON.stringify(piece))) continue;
    changes.push({ id: piece.id, before: was, after: piece });
  }
  for (const piece of old.values()) changes.push({ id: piece.id, before: piece, after: null });
  return changes;
}

/** How far a place is from where a changed piece is or was, m. */
export function distanceToChange({ before, after }: PieceChange, at: Vec3): number {
  const to = (piece: Piece | null) => (piece ? distanceToBox(pieceBounds(piece), at) : Infinity);
  return Math.min(to(before), to(after));
}

/** The change nearest to a place, or null where nothing of the pieces changed. */
export function nearestChange(changes: readonly PieceChange[], at: Vec3): PieceChange | null {
  let best: PieceChange | null = null;
  let least = Infinity;
  for (const change of changes) {
    const far = distanceToChange(change, at);
    if (far < least) {
      least = far;
      best = change;
    }
  }
  return best;
}

/** By how much a piece was moved; none where it is new or gone. */
export const shiftOf = ({ before, after }: PieceChange): Vec3 =>
  before && after
    ? [after.at[0] - before.at[0], after.at[1] - before.at[1], after.at[2] - before.at[2]]
    : [0, 0, 0];
