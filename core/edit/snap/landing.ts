import type { Course, Piece } from '../../course';
import { add, distance, sub, type Vec3 } from '../../geometry';
import { pieceBounds } from '../../pieces';
import { holdsOf } from './corners';
import { bestOwnEnd, endIndex, joinTo } from './connectors';
import type { PieceInHand } from '../pieces/lay';
import { piecesOver } from '../lookup/near';
import { groundBelow } from '../lookup/pick';
import { roundToStored } from '../pieces/place';
import { snapToGrid, type GridFrame } from './snap';

/** What a piece lands by. */
export interface SnapSettings {
  /** Grid step for each axis, m; 0 for none. */
  readonly steps: Vec3;
  /** Where the grid lies; at the origin, along x and z, when nothing is said. */
  readonly frame?: GridFrame;
  readonly ends: boolean;
  readonly corners: boolean;
  readonly surface: boolean;
  /** How near something has to be to take hold, m. */
  readonly reach: number;
}

/** Where a piece lands, and what took hold of it there. */
export interface Landing {
  readonly piece: PieceInHand;
  readonly took: 'end' | 'corner' | 'surface' | 'grid' | 'free';
  /** The place that took hold. */
  readonly mark?: Vec3;
}

const withId = (piece: PieceInHand): Piece => ({ ...piece, id: 'in-hand' });
const moved = (piece: PieceInHand, by: Vec3): PieceInHand => ({
  ...piece,
  at: add(piece.at, by).map(roundToStored) as Piece['at'],
});

/**
 * Where a piece held at a place lands: in an open end, else corner on corner, else on what lies below,
 * else on the grid.
 * @param piece the piece with its foot where the finger holds it
 * @param others the course it is laid in, without the piece itself
 */
export function landingOf(
  others: Pick<Course, 'pieces' | 'collides'>,
  piece: PieceInHand,
  { steps, frame, ends, corners, surface, reach }: SnapSettings,
): Landing {
  if (ends) {
    const joined = toEnd(others, piece, reach);
    if (joined) return joined;
  }
  const free = steps.every((step) => step === 0);
  const onGrid: PieceInHand = {
    ...piece,
    at: [...snapToGrid(piece.at, steps, frame)] as Piece['at'],
  };
  if (corners) {
    const cornered = toCorner(others, onGrid, free ? reach : Math.min(reach, 0.3));
    if (cornered) return cornered;
  }
  if (surface) {
    const [x, y, z] = onGrid.at;
    const ground = groundBelow(others, [x, y, z]);
    if (ground !== null && Math.abs(ground - y) > 1e-6 && y - ground < 3) {
      return { piece: { ...onGrid, at: [x, ground, z] }, took: 'surface', mark: [x, ground, z] };
    }
  }
  return { piece: onGrid, took: free ? 'free' : 'grid' };
}

function toEnd(others: Pick<Course, 'pieces'>, piece: PieceInHand, reach: number): Landing | null {
  const index = endIndex(others);
  const { low, high } = pieceBounds(withId(piece));
  const middle: Vec3 = [(low[0] + high[0]) / 2, (low[1] + high[1]) / 2, (low[2] + high[2]) / 2];
  // Felt for with the piece's own ends, and with its foot, by which it is held.
  const wide = reach + distance(low, high) / 2;
  const found = [...index.near(piece.at, reach), ...index.near(middle, wide)];
  for (const end of found) {
    if (!index.isOpen(end)) continue;
    const own = bestOwnEnd(piece, end);
    if (own === null) continue;
    const joined = joinTo(piece, own, end);
    const pulled = Math.min(distance(joined.at, piece.at), distance(end.at, piece.at));
    if (pulled <= reach) return { piece: joined, took: 'end', mark: end.at };
  }
  return null;
}

function toCorner(
  { pieces }: Pick<Course, 'pieces'>,
  piece: PieceInHand,
  reach: number,
): Landing | null {
  const own = holdsOf(withId(piece));
  if (own.length === 0) return null;
  const span = Math.max(...own.map((p) => distance(p, piece.at))) + reach;
  let best: Landing | null = null;
  let least = reach;
  const [px, , pz] = piece.at;
  for (const other of piecesOver(pieces, px - span, pz - span, px + span, pz + span)) {
    const { low, high } = pieceBounds(other);
    const out = [0, 1, 2].some(
      (axis) => piece.at[axis] < low[axis] - span || piece.at[axis] > high[axis] + span,
    );
    if (out) continue;
    for (const corner of holdsOf(other)) {
      for (const mine of own) {
        const away = distance(corner, mine);
        if (away >= least || away < 1e-9) continue;
        least = away;
        best = { piece: moved(piece, sub(corner, mine)), took: 'corner', mark: corner };
      }
    }
  }
  return best;
}
