import type { Piece } from '../course';
import {
  add,
  convexHull,
  mapPoints,
  rotate,
  turnMatrix,
  type Bounds,
  type Matrix3,
  type Polyhedron,
  type Vec2,
  type Vec3,
} from '../geometry';
import { placeMotion } from '../motion';
import { familyOf } from './catalogue';
import { flipped } from './flip';
import { specOf, type OwnMotion, type Part, type PieceGeometry } from './family';

type Form = Pick<Piece, 'family' | 'size' | 'params' | 'look' | 'flip' | 'outline' | 'line'>;

// Pieces of one form are many; what is known of a form is kept for all of them, and for a piece
// object that is met again, as edits share the pieces they do not change.
const byPiece = new WeakMap<Form, PieceGeometry>();
const byForm = new Map<string, PieceGeometry>();
const MOST_FORMS = 4000;

/** The piece's form in its own frame. Pieces alike in all but place share one object. */
export function localGeometry(piece: Form): PieceGeometry {
  let known = byPiece.get(piece);
  if (known) return known;
  const key = formKey(piece);
  known = byForm.get(key);
  if (!known) {
    const family = familyOf(piece.family);
    known = family.build(specOf(family, piece));
    // What only stands in may be known another time.
    const keeps = !known.standsIn;
    if (piece.flip) known = flipped(known);
    if (!keeps) return known;
    if (byForm.size >= MOST_FORMS) byForm.clear();
    byForm.set(key, known);
  }
  byPiece.set(piece, known);
  return known;
}

/** A name for all that decides a piece's form and look. */
export const formKey = ({ family, size, params, look, flip, outline, line }: Form): string =>
  [
    family,
    size ?? '',
    params ? JSON.stringify(params) : '',
    look?.colour ?? look?.material ?? '',
    flip ? 'flip' : '',
    outline ? JSON.stringify(outline) : '',
    line ? JSON.stringify(line) : '',
  ].join('|');

export const NO_TURN_DEGREES: Vec3 = [0, 0, 0];

export const turnOf = (piece: Pick<Piece, 'turn'>): Matrix3 =>
  turnMatrix(piece.turn ?? NO_TURN_DEGREES);

/** A change of frame from the piece's own to the world's, at rest. */
export function toWorld(piece: Pick<Piece, 'at' | 'turn'>): (p: Vec3) => Vec3 {
  const turn = turnOf(piece);
  return (p) => add(rotate(turn, p), piece.at);
}

const partsByPiece = new WeakMap<Piece, Part[]>();
const boundsByPiece = new WeakMap<Piece, Bounds>();

/** The solids drawn for a piece, in the world, at rest. */
export function worldParts(piece: Piece): Part[] {
  let known = partsByPiece.get(piece);
  if (!known) {
    const place = toWorld(piece);
    known = localGeometry(piece).parts.map((part) => ({
      ...part,
      solid: mapPoints(part.solid, place),
    }));
    partsByPiece.set(piece, known);
  }
  return known;
}

/** Whether a part of a piece moves of its family's own. */
export const hasOwnMotion = (piece: Piece): boolean => localGeometry(piece).motion !== undefined;

/** How the moving part of a piece moves in the world, if it has one. */
export function worldMotion(piece: Piece): OwnMotion | undefined {
  const { motion } = localGeometry(piece);
  return motion && placeMotion(motion, turnOf(piece), piece.at);
}

/** The box about all that is drawn of a piece at rest. */
export function pieceBounds(piece: Piece): Bounds {
  let known = boundsByPiece.get(piece);
  if (!known) {
    known = standingBounds(localGeometry(piece), turnOf(piece), piece.at);
    boundsByPiece.set(piece, known);
  }
  return known;
}

/** The box about a form turned and put at a place, without making its solids there. */
function standingBounds({ parts }: PieceGeometry, m: Matrix3, [x, y, z]: Vec3): Bounds {
  let [x0, y0, z0] = [Infinity, Infinity, Infinity];
  let [x1, y1, z1] = [-Infinity, -Infinity, -Infinity];
  for (const { solid } of parts) {
    for (const p of solid.points) {
      const u = m[0] * p[0] + m[1] * p[1] + m[2] * p[2] + x;
      const v = m[3] * p[0] + m[4] * p[1] + m[5] * p[2] + y;
      const w = m[6] * p[0] + m[7] * p[1] + m[8] * p[2] + z;
      if (u < x0) x0 = u;
      if (u > x1) x1 = u;
      if (v < y0) y0 = v;
      if (v > y1) y1 = v;
      if (w < z0) z0 = w;
      if (w > z1) z1 = w;
    }
  }
  return { low: [x0, y0, z0], high: [x1, y1, z1] };
}

/** The outlines of a piece's solids as seen from above, one for each part, in the world (x, z). */
export const planOutlines = (piece: Piece): Vec2[][] =>
  worldParts(piece).map(({ solid }) => planOutline(solid));

export const planOutline = (solid: Polyhedron): Vec2[] =>
  convexHull(solid.points.map(([x, , z]): Vec2 => [x, z]));
