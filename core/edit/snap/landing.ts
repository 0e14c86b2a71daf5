import type { Course, Piece } from '../../course';
import { add, distance, length, sub, type Vec3 } from '../../geometry';
import { pieceBounds } from '../../pieces';
import { holdsOf } from './corners';
import { bestOwnEnd, endIndex, joinTo } from './connectors';
import type { PieceInHand } from '../pieces/lay';
import { piecesOver } from '../lookup/near';
import { groundBelow, surfaceAt } from '../lookup/pick';
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
  /** True where the course is looked at from the side: what is laid keeps its depth (z). */
  readonly upright?: boolean;
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

type Ground = Pick<Course, 'pieces' | 'collides'>;

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
  others: Ground,
  piece: PieceInHand,
  { steps, frame, ends, corners, surface, upright = false, reach }: SnapSettings,
): Landing {
  if (ends) {
    const joined = toEnd(others, piece, reach, upright);
    if (joined) return joined;
  }
  const free = steps.every((step) => step === 0);
  const onGrid: PieceInHand = {
    ...piece,
    at: [...snapToGrid(piece.at, steps, frame)] as Piece['at'],
  };
  const stoodAside = surface && upright ? standingAside(others, piece, onGrid, steps[1]) : null;
  if (corners) {
    // Seen from the side a piece that stands keeps its height: its corners take hold along the way only.
    const hold = stoodAside ? 'level' : upright ? 'upright' : 'any';
    const near = free ? reach : Math.min(reach, 0.3);
    const cornered = toCorner(others, stoodAside ?? onGrid, near, hold);
    if (cornered) return cornered;
  }
  const stood = surface && !upright ? standingBelow(others, onGrid) : stoodAside;
  if (stood) return { piece: stood, took: 'surface', mark: stood.at };
  return { piece: onGrid, took: free ? 'free' : 'grid' };
}

/** Which ways a corner may draw a piece: any, along its upright plane, or along its lane alone. */
type CornerHold = 'any' | 'upright' | 'level';

const atHeight = (piece: PieceInHand, height: number): PieceInHand => ({
  ...piece,
  at: [piece.at[0], height, piece.at[2]],
});

/** The piece on the ground below it, or null where there is none near, or it stands there already. */
function standingBelow(others: Ground, piece: PieceInHand): PieceInHand | null {
  const [, y] = piece.at;
  const ground = groundBelow(others, piece.at);
  const isNear = ground !== null && Math.abs(ground - y) > 1e-6 && y - ground < 3;
  return isNear ? atHeight(piece, ground) : null;
}

/** Heights above ground that are taken for standing on it where the grid has none, m. */
const NEARLY = 0.5;

/**
 * The piece as it stands, seen from the side: on top of what its middle is in, or on the ground below if its foot is
 * in the ground, or above it by less than a step of the grid. Null where it hangs in the air.
 * @param others the course without the piece
 * @param piece where it is held
 * @param onGrid where the grid has it
 * @param step the grid's step upward, m
 */
function standingAside(
  others: Ground,
  piece: PieceInHand,
  onGrid: PieceInHand,
  step: number,
): PieceInHand | null {
  const { low, high } = pieceBounds(withId(piece));
  const [x, , z] = onGrid.at;
  const ground = surfaceAt(others, [x, (low[1] + high[1]) / 2, z]);
  const stands = ground !== null && low[1] - ground < (step || NEARLY) - 1e-6;
  return stands ? atHeight(onGrid, ground + piece.at[1] - low[1]) : null;
}

function toEnd(
  others: Pick<Course, 'pieces'>,
  piece: PieceInHand,
  reach: number,
  upright: boolean,
): Landing | null {
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
    // Track winds through all depths; what is stood on keeps its own.
    if (upright && end.kind !== 'track' && Math.abs(joined.at[2] - piece.at[2]) > 1e-3) continue;
    const pulled = Math.min(distance(joined.at, piece.at), distance(end.at, piece.at));
    if (pulled <= reach) return { piece: joined, took: 'end', mark: end.at };
  }
  return null;
}

function toCorner(
  { pieces }: Pick<Course, 'pieces'>,
  piece: PieceInHand,
  reach: number,
  hold: CornerHold,
): Landing | null {
  const inHand = withId(piece);
  const own = holdsOf(inHand);
  if (own.length === 0) return null;
  const depth = hold === 'any' ? null : pieceBounds(inHand);
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
    // Seen from the side all depths lie over each other: only what is beside the piece counts.
    if (depth && (low[2] >= depth.high[2] || high[2] <= depth.low[2])) continue;
    for (const corner of holdsOf(other)) {
      for (const mine of own) {
        const [dx, dy, dz] = sub(corner, mine);
        if (hold === 'level' && Math.abs(dy) > 1e-4) continue;
        const by: Vec3 = [dx, hold === 'level' ? 0 : dy, hold === 'any' ? dz : 0];
        const away = length(by);
        if (away >= least || away < 1e-9) continue;
        least = away;
        best = { piece: moved(piece, by), took: 'corner', mark: corner };
      }
    }
  }
  return best;
}
