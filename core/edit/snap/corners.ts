import type { Piece } from '../../course';
import { distance, lerp, mapVec3, type Vec3 } from '../../geometry';
import { worldParts, localGeometry, toWorld } from '../../pieces';

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

const holdsByPiece = new WeakMap<Piece, Vec3[]>();

/** What pieces take hold of each other by: their corners, the middles of their edges, the middles of their tops. */
export function holdsOf(piece: Piece): Vec3[] {
  let known = holdsByPiece.get(piece);
  if (!known) {
    const corners = cornersOf(piece);
    known = corners.length === 0 ? corners : [...corners, ...middlesOf(piece)];
    holdsByPiece.set(piece, known);
  }
  return known;
}

/** Middles of the longer edges of what touches of a piece, and of its level faces. */
function middlesOf(piece: Piece): Vec3[] {
  const place = toWorld(piece);
  const middles: Vec3[] = [];
  for (const { form } of localGeometry(piece).shapes) {
    if (form.kind !== 'hull') continue;
    const points = form.solid.points.map(place);
    for (const face of form.solid.faces) {
      const ring = face.map((i) => points[i]);
      ring.forEach((a, i) => {
        const b = ring[(i + 1) % ring.length];
        if (distance(a, b) >= LONG) middles.push(lerp(a, b, 0.5));
      });
      const heights = ring.map((p) => p[1]);
      if (Math.max(...heights) - Math.min(...heights) < ONE) middles.push(meanOf(ring));
    }
  }
  const found = distinct(middles);
  return found.length > MOST_MIDDLES ? [] : found;
}

/** Edges shorter than this are bevels, whose middles nobody aims at, m. */
const LONG = 0.4;
const MOST_MIDDLES = 60;

const meanOf = (ring: readonly Vec3[]): Vec3 =>
  mapVec3((i) => ring.reduce((sum, p) => sum + p[i], 0) / ring.length);
