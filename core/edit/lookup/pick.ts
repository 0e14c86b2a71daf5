import type { Course, Piece } from '../../course';
import { cross, dot, faceNormal, sub, type Polyhedron, type Vec3 } from '../../geometry';
import { localGeometry, pieceBounds, touches, worldParts } from '../../pieces';
import { piecesOver } from './near';
import type { Ray } from './ray';

/** How far out of its box a thin piece can still be picked, m. */
const PICK_MARGIN = 0.05;

/** What a ray meets first: the piece's id, and the distance along the ray in units of its direction. */
interface RayHit {
  readonly id: string;
  readonly t: number;
}

/**
 * The piece a ray meets first, by what is drawn of it at rest.
 * @param may which pieces may be met; the ray goes on through others
 */
export function pickPiece(
  { pieces }: Pick<Course, 'pieces'>,
  ray: Ray,
  may: (piece: Piece) => boolean = () => true,
): RayHit | null {
  const boxes = boxesOf(pieces);
  const near: Piece[] = [];
  for (let i = 0; i < pieces.length; i++) {
    if (meetsBox(ray, boxes, boxes, 6 * i, 6 * i + 3) !== null && may(pieces[i]))
      near.push(pieces[i]);
  }
  return firstMet(near, ray);
}

/** Has at hand what picking in a course looks things up in. */
export const prepareToPick = ({ pieces }: Pick<Course, 'pieces'>): void => void boxesOf(pieces);

let known: { pieces: readonly Piece[]; boxes: Float64Array } = {
  pieces: [],
  boxes: new Float64Array(),
};

/** The lowest and highest place of each piece, six numbers each; made anew only for what an edit changed. */
function boxesOf(pieces: readonly Piece[]): Float64Array {
  if (known.pieces === pieces) return known.boxes;
  const before = known.pieces.length === pieces.length ? known : null;
  const boxes = before?.boxes ?? new Float64Array(6 * pieces.length);
  for (let i = 0; i < pieces.length; i++) {
    if (before?.pieces[i] === pieces[i]) continue;
    const { low, high } = pieceBounds(pieces[i]);
    boxes.set(low, 6 * i);
    boxes.set(high, 6 * i + 3);
  }
  known = { pieces, boxes };
  return boxes;
}

function firstMet(pieces: readonly Piece[], ray: Ray): RayHit | null {
  let best: RayHit | null = null;
  // What is only felt is chosen where there is nothing to be seen.
  let felt: RayHit | null = null;
  for (const piece of pieces) {
    const { low, high } = pieceBounds(piece);
    const near = meetsBox(ray, low, high);
    if (near === null || (best && near > best.t)) continue;
    for (const { solid, mesh, unseen } of worldParts(piece)) {
      const t = mesh ? meetsMesh(ray, solid) : meetsSolid(ray, solid);
      if (t === null) continue;
      if (unseen) felt = !felt || t < felt.t ? { id: piece.id, t } : felt;
      else if (!best || t < best.t) best = { id: piece.id, t };
    }
  }
  return best ?? felt;
}

/** Whether a ray comes near a piece: through its box, a little enlarged. */
export function rayHitsBounds(ray: Ray, piece: Piece): boolean {
  const { low, high } = pieceBounds(piece);
  return meetsBox(ray, low, high) !== null;
}

/** How far above a place ground is still looked for, m: it may lie within a stone. */
const HEADROOM = 4;

type Ground = Pick<Course, 'pieces' | 'collides'>;

/** The ground at or below a place, as the height of what is drawn there, or null over open water. */
export function groundBelow(course: Ground, [x, y, z]: Vec3): number | null {
  const from: Vec3 = [x, y + HEADROOM, z];
  const under = firstMet(solidsOver(course, x, z), { from, along: DOWN });
  return under ? from[1] - under.t : null;
}

/** The top of what a place lies in, however high that is, else the ground below it; null over open water. */
export function surfaceAt(course: Ground, [x, y, z]: Vec3): number | null {
  const solids = solidsOver(course, x, z);
  let height = y;
  // Pieces stand in each other: out of one the place may lie in the next.
  for (let i = 0; i <= solids.length; i++) {
    const met = firstMet(solids, { from: [x, height, z], along: DOWN });
    if (!met) return null;
    if (met.t > INSIDE) return height - met.t;
    const holder = solids.filter(({ id }) => id === met.id);
    const over = pieceBounds(holder[0]).high[1] + 1;
    const top = over - firstMet(holder, { from: [x, over, z], along: DOWN })!.t;
    height = top + 2 * INSIDE;
  }
  return height;
}

const DOWN: Vec3 = [0, -1, 0];
/** A ray that meets a solid nearer than this begins in it or on it, m. */
const INSIDE = 1e-6;

/** The pieces a runner could stand on over a place of the map. */
const solidsOver = (course: Ground, x: number, z: number): Piece[] =>
  piecesOver(course.pieces, x, z, x, z).filter(
    (piece) =>
      touches(course, piece) && localGeometry(piece).shapes.some(({ role }) => role === 'solid'),
  );

/** How far along a ray it comes into a box, whose corners begin at places of two lists. */
function meetsBox(
  { from, along }: Ray,
  lows: ArrayLike<number>,
  highs: ArrayLike<number>,
  low = 0,
  high = 0,
): number | null {
  let enter = 0;
  let leave = Infinity;
  for (let axis = 0; axis < 3; axis++) {
    const a = (lows[low + axis] - PICK_MARGIN - from[axis]) / along[axis];
    const b = (highs[high + axis] + PICK_MARGIN - from[axis]) / along[axis];
    enter = Math.max(enter, Math.min(a, b));
    leave = Math.min(leave, Math.max(a, b));
  }
  return enter <= leave ? enter : null;
}

/** Clips the ray by the planes of the faces (Cyrus and Beck, 1978). */
function meetsSolid({ from, along }: Ray, solid: Polyhedron): number | null {
  let enter = 0;
  let leave = Infinity;
  for (const face of solid.faces) {
    const n = faceNormal(solid, face);
    const p = solid.points[face[0]];
    const gap = n[0] * (from[0] - p[0]) + n[1] * (from[1] - p[1]) + n[2] * (from[2] - p[2]);
    const pace = n[0] * along[0] + n[1] * along[1] + n[2] * along[2];
    if (pace < 0) enter = Math.max(enter, -gap / pace);
    else if (pace > 0) leave = Math.min(leave, -gap / pace);
    else if (gap > 0) return null;
  }
  return enter <= leave ? enter : null;
}

/** The nearest triangle of a closed mesh a ray meets (Möller and Trumbore, 1997). */
function meetsMesh({ from, along }: Ray, { points, faces }: Polyhedron): number | null {
  let best: number | null = null;
  for (const face of faces) {
    for (let i = 1; i + 1 < face.length; i++) {
      const a = points[face[0]];
      const e1 = sub(points[face[i]], a);
      const e2 = sub(points[face[i + 1]], a);
      const p = cross(along, e2);
      const det = dot(e1, p);
      if (Math.abs(det) < 1e-12) continue;
      const s = sub(from, a);
      const u = dot(s, p) / det;
      const q = cross(s, e1);
      const v = dot(along, q) / det;
      if (u < 0 || v < 0 || u + v > 1) continue;
      const t = dot(e2, q) / det;
      if (t >= 0 && (best === null || t < best)) best = t;
    }
  }
  return best;
}
