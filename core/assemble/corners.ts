import type { Piece } from '../course';
import type { Vec3 } from '../geometry';
import { worldParts, localGeometry, toWorld } from '../pieces';

const cornersByPiece = new WeakMap<Piece, Vec3[]>();
/** Corners closer to each other than this are one, m. */
const ONE = 0.02;
/** Pieces of rounder forms have no corners worth snapping to. */
const MOST = 40;

/** The outermost corners of what touches of a piece, or of its picture where nothing does. */
export function cornersOf(piece: Piece): Vec3[] {
  let known = cornersByPiece.get(piece);
  if (!known) {
    const hulls = localGeometry(piece).shapes.flatMap(({ form }) =>
      form.kind === 'hull' ? [form.solid] : [],
    );
    const place = toWorld(piece);
    const points =
      hulls.length > 0
        ? hulls.flatMap(({ points: own }) => own.map(place))
        : worldParts(piece).flatMap(({ solid }) => solid.points);
    known = points.length > 400 ? [] : distinct(points);
    if (known.length > MOST) known = [];
    cornersByPiece.set(piece, known);
  }
  return known;
}

function distinct(points: readonly Vec3[]): Vec3[] {
  const seen = new Map<string, Vec3>();
  for (const p of points) seen.set(p.map((v) => Math.round(v / ONE)).join(' '), p);
  return [...seen.values()];
}
