import { piecesOver } from '../../edit';
import type { Course, Piece } from '../../course';
import { type Polyhedron, type Vec2, type Vec3, faceNormal, rotate } from '../../geometry';
import {
  contactShapes,
  familyOf,
  localGeometry,
  markOf,
  pieceBounds,
  toWorld,
  topOver,
  turnOf,
} from '../../pieces';
import { plannedRoute } from '../../route';
import { STEP_HEIGHT } from '../../run';
import { byTheWay } from '../byTheWay';
import { MOST_PAIRS, sparseOf } from '../crowd';
import { type Check, type CheckRule, type Finding, MOST_TOLD, pieceFinding } from '../finding';
import { HAIR } from '../joins';

/** Narrower than this two tops meet, m. */
const MEETS = 0.002;

/** Wider ones are seen, and meant: to be jumped, or rolled over, m. */
const WIDEST = HAIR;

/** Upward part of a normal from which a face is a top. */
const LEVEL = 0.9;

/** How nearly two edges have to look at each other, as a cosine, and how far along each other, m. */
const FACING = -0.999;

const BESIDE = 0.3;

/** An edge of a top: its ends over the map, its height, and its unit way out. */
interface Edge {
  readonly a: Vec3;
  readonly b: Vec3;
  readonly out: Vec2;
}

/** Level tops whose edges face each other with a gap that one hardly sees: they were meant to meet. */
const seams: Check<'seam'> = (course) => {
  const { pieces } = sparseOf(course);
  const { way } = plannedRoute(course);
  const edges = new Map<Piece, Edge[]>();
  const edgesOf = (piece: Piece): Edge[] => {
    let known = edges.get(piece);
    if (!known) edges.set(piece, (known = topEdges(course, piece)));
    return known;
  };
  const found: Finding<'seam'>[] = [];
  let pairs = 0;
  for (const piece of pieces) {
    if (found.length >= MOST_TOLD || pairs > MOST_PAIRS) break;
    const { low, high } = pieceBounds(piece);
    const over = piecesOver(
      pieces,
      low[0] - WIDEST,
      low[2] - WIDEST,
      high[0] + WIDEST,
      high[2] + WIDEST,
    );
    pairs += over.length;
    for (const other of over) {
      if (other.id <= piece.id || found.length >= MOST_TOLD) continue;
      const { low: foot, high: top } = pieceBounds(other);
      if (foot[1] > high[1] + STEP_HEIGHT || top[1] < low[1] - STEP_HEIGHT) continue;
      const seam = seamOf(edgesOf(piece), edgesOf(other));
      if (!seam || !byTheWay(way, seam.at) || isFilled(course, over, seam.at)) continue;
      found.push(told(piece, other, seam));
    }
  }
  return found;
};

interface Seam {
  readonly width: number;
  /** In its middle. */
  readonly at: Vec3;
  /** What brings the second piece to the first. */
  readonly by: Vec3;
}

/** What moves stands elsewhere a moment later. */
const moves = (piece: Piece): boolean =>
  piece.motion !== undefined || localGeometry(piece).motion !== undefined;

/** The edges of a piece's level tops, with nothing of the piece itself beyond them. */
function topEdges(course: Course, piece: Piece): Edge[] {
  if (markOf(piece) !== null || piece.loose || moves(piece)) return [];
  const place = toWorld(piece);
  const turn = turnOf(piece);
  return contactShapes(course, piece).flatMap(({ role, form }): Edge[] => {
    if (role !== 'solid' || form.kind === 'ball') return [];
    const { points, faces } = form.solid;
    const normals = normalsOf(form.solid);
    return faces.flatMap((face, f): Edge[] => {
      if (rotate(turn, normals[f])[1] < LEVEL) return [];
      const corners = face.map((at) => place(points[at]));
      return corners.flatMap((a, k): Edge[] => {
        const b = corners[(k + 1) % corners.length];
        const [dx, dz] = [b[0] - a[0], b[2] - a[2]];
        const length = Math.hypot(dx, dz);
        // Seen from above a top goes round against the way from x to z: out of it is to the right.
        return length < BESIDE ? [] : [{ a, b, out: [-dz / length, dx / length] }];
      });
    });
  });
}

// Alike pieces share their solids.
const known = new WeakMap<Polyhedron, readonly Vec3[]>();

function normalsOf(solid: Polyhedron): readonly Vec3[] {
  let normals = known.get(solid);
  if (!normals) known.set(solid, (normals = solid.faces.map((face) => faceNormal(solid, face))));
  return normals;
}

/** The narrowest seam between edges that face each other, or null where none does, or two of them meet. */
function seamOf(mine: readonly Edge[], its: readonly Edge[]): Seam | null {
  let narrowest: Seam | null = null;
  for (const one of mine) {
    for (const other of its) {
      if (one.out[0] * other.out[0] + one.out[1] * other.out[1] > FACING) continue;
      const seam = between(one, other);
      if (!seam) continue;
      if (Math.abs(seam.width) <= MEETS) return null;
      if (seam.width > 0 && (!narrowest || seam.width < narrowest.width)) narrowest = seam;
    }
  }
  return narrowest;
}

/** The gap between two edges that are parallel, where they lie beside each other at about one height. */
function between(one: Edge, other: Edge): Seam | null {
  const [ox, oz] = one.out;
  const width = (other.a[0] - one.a[0]) * ox + (other.a[2] - one.a[2]) * oz;
  const rise = other.a[1] - one.a[1];
  if (width < -MEETS || width > WIDEST || Math.abs(rise) > STEP_HEIGHT) return null;
  // Along the first edge, which is gone along from its own beginning.
  const along = (p: Vec3) => (p[0] - one.a[0]) * -oz + (p[2] - one.a[2]) * ox;
  const [b, c, d] = [along(one.b), along(other.a), along(other.b)];
  const low = Math.max(Math.min(0, b), Math.min(c, d));
  const high = Math.min(Math.max(0, b), Math.max(c, d));
  if (high - low < BESIDE) return null;
  const middle = (low + high) / 2;
  return {
    width,
    at: [
      one.a[0] - oz * middle + (ox * width) / 2,
      one.a[1] + rise / 2,
      one.a[2] + ox * middle + (oz * width) / 2,
    ],
    by: [-ox * width, 0, -oz * width],
  };
}

/** Whether some piece lies under the seam within a step, so that nothing can catch or fall in it. */
const isFilled = (course: Course, pieces: readonly Piece[], [x, y, z]: Vec3): boolean =>
  pieces.some((piece) => topOver(course, piece, x, z, y + STEP_HEIGHT) > y - STEP_HEIGHT);

function told(piece: Piece, other: Piece, { width, at, by }: Seam): Finding<'seam'> {
  const wide = width < 0.01 ? `${(width * 1000).toFixed(0)} mm` : `${(width * 100).toFixed(0)} cm`;
  return {
    ...pieceFinding(
      other,
      'seam',
      'notice',
      `${familyOf(other.family).label} stands ${wide} off ${familyOf(piece.family).label.toLowerCase()} beside it.`,
      { label: 'Close the gap', edit: { do: 'move', id: other.id, by } },
    ),
    at,
    other: piece.id,
  };
}

export const seamRule: CheckRule<'seam'> = { id: 'seam', check: seams };
