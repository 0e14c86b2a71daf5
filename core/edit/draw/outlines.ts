import type { Course, OutlineCorner, Piece, PieceOutline } from '../../course';
import { mapVec3, rotate, sub, transpose, type Vec2, type Vec3 } from '../../geometry';
import { outlineFault, rimPoints, toWorld, turnOf } from '../../pieces';
import { layPiece, type PieceInHand } from '../pieces/lay';
import { changePieces, roundToStored } from '../pieces/place';
import type { WorkPlane } from '../snap/snap';

/** A rim of an outline: its own, or one of its holes by number. */
export type Rim = 'outer' | number;

/** An outline that cannot be, with the place in the world where it goes wrong, where there is one. */
export class OutlineError extends RangeError {
  constructor(
    message: string,
    readonly at?: Vec3,
  ) {
    super(message);
    this.name = 'OutlineError';
  }
}

/**
 * The course with a platform of a drawn outline on the work plane; on an upright plane it stands, with
 * its depth behind the plane.
 * @param course the course as it is; it stays so
 * @param places its corners in the world, m
 * @param plane the plane they lie on
 * @param inHand the piece that is laid
 * @throws OutlineError when the outline has too few points or crosses itself
 */
export function layPlatform(
  course: Course,
  places: readonly Vec3[],
  plane: WorkPlane,
  inHand: PieceInHand,
): Course {
  if (places.length < 3) throw new OutlineError('An outline needs at least three points.');
  const upright = plane.axis === 'z';
  const [x, y, z] = middleOf(places);
  const height = inHand.size?.[1] ?? 0.6;
  const at: Piece['at'] = upright
    ? [roundToStored(x), roundToStored(y), roundToStored(z - height)]
    : [roundToStored(x), roundToStored(y - height), roundToStored(z)];
  const piece: PieceInHand = {
    ...inHand,
    family: 'platform',
    at,
    ...(upright ? { turn: [90, 0, 0] as Piece['turn'] } : {}),
    outline: {
      points: places.map((p) => ({
        at: upright
          ? [roundToStored(p[0] - x), roundToStored(y - p[1])]
          : [roundToStored(p[0] - x), roundToStored(p[2] - z)],
      })),
    },
  };
  refuseFaults({ ...piece, id: 'drawn' });
  return layPiece(course, piece);
}

function middleOf(places: readonly Vec3[]): Vec3 {
  const low = [0, 1, 2].map((axis) => Math.min(...places.map((p) => p[axis])));
  const high = [0, 1, 2].map((axis) => Math.max(...places.map((p) => p[axis])));
  return mapVec3((axis) => roundToStored((low[axis] + high[axis]) / 2));
}

/** @throws OutlineError in words, with the place in the world */
function refuseFaults(piece: Piece): void {
  const fault = outlineFault(piece.outline!);
  if (!fault) return;
  const top = piece.size?.[1] ?? 0.6;
  const at = fault.at && toWorld(piece)([fault.at[0], top, fault.at[1]]);
  throw new OutlineError(fault.message, at);
}

const cornersAt = (outline: PieceOutline, rim: Rim): OutlineCorner[] =>
  rim === 'outer' ? outline.points : (outline.holes?.[rim] ?? []);

/** Changes the corners of one rim of a platform, refusing what would cross itself. */
function changeRim(
  course: Course,
  id: string,
  rim: Rim,
  change: (corners: OutlineCorner[]) => OutlineCorner[],
): Course {
  return changePieces(course, new Set([id]), (piece) => {
    if (!piece.outline) return;
    const corners = change(cornersAt(piece.outline, rim).map((corner) => ({ ...corner })));
    const outline: PieceOutline =
      rim === 'outer'
        ? { ...piece.outline, points: corners }
        : {
            ...piece.outline,
            holes: piece.outline.holes?.map((hole, i) => (i === rim ? corners : hole)),
          };
    refuseFaults({ ...(piece as Piece), outline });
    piece.outline = outline;
  });
}

/** A place of the world in the plane of a platform. */
export function inPlane(piece: Piece, p: Vec3): Vec2 {
  const [x, , z] = rotate(transpose(turnOf(piece)), sub(p, piece.at));
  return [roundToStored(x), roundToStored(z)];
}

/** A corner of a platform's top in the world. */
export const cornerPlace = (piece: Piece, [x, z]: readonly [number, number]): Vec3 =>
  toWorld(piece)([x, piece.size?.[1] ?? 0.6, z]);

/**
 * @param course the course as it is; it stays so
 * @param id of the piece
 * @param rim the outline itself, or one of its holes
 * @param i which corner, or the edge that begins at it
 * @param to in the piece’s own frame, m
 */
export const moveCorner = (course: Course, id: string, rim: Rim, i: number, to: Vec2): Course =>
  changeRim(course, id, rim, (corners) => {
    corners[i] = { ...corners[i], at: [roundToStored(to[0]), roundToStored(to[1])] };
    return corners;
  });

/**
 * A new corner in the middle of the edge that begins at a corner.
 * @param course the course as it is; it stays so
 * @param id of the piece
 * @param rim the outline itself, or one of its holes
 * @param i which corner, or the edge that begins at it
 */
export const splitEdge = (course: Course, id: string, rim: Rim, i: number): Course =>
  changeRim(course, id, rim, (corners) => {
    const [a, b] = [corners[i].at, corners[(i + 1) % corners.length].at];
    corners.splice(i + 1, 0, {
      at: [roundToStored((a[0] + b[0]) / 2), roundToStored((a[1] + b[1]) / 2)],
    });
    return corners;
  });

/**
 * @param course the course as it is; it stays so
 * @param id of the piece
 * @param rim the outline itself, or one of its holes
 * @param i which corner, or the edge that begins at it
 * @throws OutlineError when fewer than three would be left
 */
export const removeCorner = (course: Course, id: string, rim: Rim, i: number): Course =>
  changeRim(course, id, rim, (corners) => {
    if (corners.length <= 3) throw new OutlineError('An outline keeps at least three points.');
    return corners.filter((_, n) => n !== i);
  });

/**
 * Pushes an edge out along its normal by metres, or in below zero.
 * @param course the course as it is; it stays so
 * @param id of the piece
 * @param rim the outline itself, or one of its holes
 * @param i which corner, or the edge that begins at it
 * @param by outwards, m
 */
export const pushEdge = (course: Course, id: string, rim: Rim, i: number, by: number): Course =>
  changeRim(course, id, rim, (corners) => {
    const j = (i + 1) % corners.length;
    const [a, b] = [corners[i].at, corners[j].at];
    const [x, z] = [b[0] - a[0], b[1] - a[1]];
    const length = Math.hypot(x, z) || 1;
    const way = turnsRight(corners) ? by : -by;
    const [nx, nz] = [(z / length) * way, (-x / length) * way];
    corners[i] = { ...corners[i], at: [roundToStored(a[0] + nx), roundToStored(a[1] + nz)] };
    corners[j] = { ...corners[j], at: [roundToStored(b[0] + nx), roundToStored(b[1] + nz)] };
    return corners;
  });

const turnsRight = (corners: readonly OutlineCorner[]): boolean => {
  const points = rimPoints(corners);
  return (
    points.reduce((sum, [x, z], i) => {
      const [nx, nz] = points[(i + 1) % points.length];
      return sum + x * nz - nx * z;
    }, 0) > 0
  );
};

/**
 * Curves an edge: pushed out by a part of half its length, -1 to 1; 0 is straight.
 * @param course the course as it is; it stays so
 * @param id of the piece
 * @param rim the outline itself, or one of its holes
 * @param i which corner, or the edge that begins at it
 * @param bulge how far its middle stands out, m
 */
export const curveEdge = (course: Course, id: string, rim: Rim, i: number, bulge: number): Course =>
  changeRim(course, id, rim, (corners) => {
    const { bulge: _, ...corner } = corners[i];
    const kept = Math.min(1, Math.max(-1, bulge)) * (turnsRight(corners) ? 1 : -1);
    corners[i] = (
      Math.abs(kept) < 0.01 ? corner : { ...corner, bulge: roundToStored(kept) }
    ) as OutlineCorner;
    return corners;
  });

/**
 * Rounds a corner by a radius in metres; 0 is sharp.
 * @param course the course as it is; it stays so
 * @param id of the piece
 * @param rim the outline itself, or one of its holes
 * @param i which corner, or the edge that begins at it
 * @param radius of the rounding, m
 */
export const roundCorner = (
  course: Course,
  id: string,
  rim: Rim,
  i: number,
  radius: number,
): Course =>
  changeRim(course, id, rim, (corners) => {
    const { round: _, ...corner } = corners[i];
    corners[i] = (
      radius > 0 ? { ...corner, round: roundToStored(Math.min(50, radius)) } : corner
    ) as OutlineCorner;
    return corners;
  });

/**
 * Cuts a hole with six corners about a place of the platform's plane.
 * @param course the course as it is; it stays so
 * @param id of the piece
 * @param radius of the hole, m
 */
export function addHole(course: Course, id: string, [x, z]: Vec2, radius = 0.6): Course {
  return changePieces(course, new Set([id]), (piece) => {
    if (!piece.outline) return;
    const hole = [0, 60, 120, 180, 240, 300].map((angle): OutlineCorner => {
      const a = (angle * Math.PI) / 180;
      return {
        at: [roundToStored(x + radius * Math.cos(a)), roundToStored(z + radius * Math.sin(a))],
      };
    });
    const outline = { ...piece.outline, holes: [...(piece.outline.holes ?? []), hole] };
    refuseFaults({ ...(piece as Piece), outline });
    piece.outline = outline;
  });
}

export const removeHole = (course: Course, id: string, hole: number): Course =>
  changePieces(course, new Set([id]), (piece) => {
    if (!piece.outline) return;
    const holes = piece.outline.holes?.filter((_, i) => i !== hole);
    const { holes: _, ...outline } = piece.outline;
    piece.outline = holes?.length ? { ...outline, holes } : outline;
  });
