import { piecesOver } from '../../edit';
import type { Piece } from '../../course';
import {
  type Bounds,
  type Vec2,
  type Vec3,
  boundsOf,
  boxesMeet,
  dot,
  rotate,
  sub,
} from '../../geometry';
import {
  type Facet,
  type PieceGeometry,
  type Tone,
  facetsOf,
  familyOf,
  localGeometry,
  pieceBounds,
  toWorld,
  turnOf,
} from '../../pieces';
import { MOST_PAIRS, sparseOf } from '../crowd';
import { type Check, type CheckRule, type Finding, MOST_TOLD, pieceFinding } from '../finding';

/** Facets smaller than this flicker unseen, m². */
const SMALL = 0.02;

const facetsByForm = new WeakMap<PieceGeometry, Facet[]>();

interface Flat extends Bounds {
  readonly tone: Tone;
  readonly points: readonly Vec3[];
  readonly normal: Vec3;
  readonly offset: number;
}

const flatsByPiece = new WeakMap<Piece, Flat[]>();

/** The faces of a piece that are looked at, where it stands. */
function flatsOf(piece: Piece): Flat[] {
  let known = flatsByPiece.get(piece);
  if (!known) {
    known = makeFlats(piece);
    flatsByPiece.set(piece, known);
  }
  return known;
}

function makeFlats(piece: Piece): Flat[] {
  const form = localGeometry(piece);
  let facets = facetsByForm.get(form);
  if (!facets) {
    facets = facetsOf(form.parts.filter(({ moving }) => !moving)).filter(
      ({ points }) => areaOf(points) > SMALL,
    );
    facetsByForm.set(form, facets);
  }
  const place = toWorld(piece);
  const turn = turnOf(piece);
  return facets.flatMap(({ points, normal: own, tone }): Flat[] => {
    const normal = rotate(turn, own);
    // Undersides are not looked at: pieces stand on things, and the eye stays above them.
    if (normal[1] < -0.5) return [];
    const corners = points.map(place);
    return [
      { points: corners, normal, tone, offset: dot(normal, corners[0]), ...boundsOf(corners) },
    ];
  });
}

/** Faces nearer to one plane than this are in it, m, and as parallel as this, as a cosine. */
const IN_PLANE = 2e-3;

const PARALLEL = 0.99999;

/** Faces of two pieces that flicker: they overlap in one plane, face one way and look unlike. */
const flicker: Check<'flicker'> = (course) => {
  const { pieces } = sparseOf(course);
  const found: Finding<'flicker'>[] = [];
  const told = new Set<string>();
  let pairs = 0;
  for (const piece of pieces) {
    if (found.length >= MOST_TOLD || pairs > MOST_PAIRS) break;
    const { low, high } = pieceBounds(piece);
    const over = piecesOver(pieces, low[0], low[2], high[0], high[2]);
    pairs += over.length;
    for (const other of over) {
      if (other.id <= piece.id || told.has(other.id)) continue;
      const box = pieceBounds(other);
      if (!boxesMeet({ low, high }, box, IN_PLANE)) continue;
      // A paved floor has very many faces: only those where the other stands can be shared.
      const at = sharedFace(
        flatsOf(piece).filter((face) => boxesMeet(face, box, IN_PLANE)),
        flatsOf(other).filter((face) => boxesMeet(face, { low, high }, IN_PLANE)),
      );
      if (!at) continue;
      told.add(other.id);
      found.push({
        ...pieceFinding(
          other,
          'flicker',
          'notice',
          `${familyOf(other.family).label} and ${familyOf(piece.family).label.toLowerCase()} have faces in one plane, which flicker.`,
          { label: 'Raise it by 1 cm', edit: { do: 'move', id: other.id, by: [0, 0.01, 0] } },
        ),
        at,
        other: piece.id,
      });
    }
  }
  return found.slice(0, MOST_TOLD);
};

/** A place where faces of both lie over each other in one plane, or null. */
function sharedFace(mine: readonly Flat[], its: readonly Flat[]): Vec3 | null {
  for (const a of mine) {
    for (const b of its) {
      // Two faces of one look are drawn alike, whichever of them is drawn.
      if (a.tone === b.tone || Math.abs(a.offset - b.offset) > IN_PLANE) continue;
      if (!boxesMeet(a, b, IN_PLANE)) continue;
      if (dot(a.normal, b.normal) > PARALLEL && overlap(a, b)) return b.points[0];
    }
  }
  return null;
}

function areaOf(points: readonly Vec3[]): number {
  let [x, y, z] = [0, 0, 0];
  for (let i = 1; i + 1 < points.length; i++) {
    const [a, b] = [sub(points[i], points[0]), sub(points[i + 1], points[0])];
    x += a[1] * b[2] - a[2] * b[1];
    y += a[2] * b[0] - a[0] * b[2];
    z += a[0] * b[1] - a[1] * b[0];
  }
  return Math.sqrt(x * x + y * y + z * z) / 2;
}

/** By how much two faces have to lie over each other, m. */
const OVER = 0.015;

/** Whether two convex faces in one plane lie over each other: no edge of either parts them. */
function overlap(a: Flat, b: Flat): boolean {
  // Seen along the axis the plane faces most.
  const drop = a.normal.map(Math.abs).indexOf(Math.max(...a.normal.map(Math.abs)));
  const flat = (points: readonly Vec3[]): Vec2[] =>
    points.map((p) => (drop === 0 ? [p[1], p[2]] : drop === 1 ? [p[0], p[2]] : [p[0], p[1]]));
  const [p, q] = [flat(a.points), flat(b.points)];
  return [p, q].every((ring) =>
    ring.every((from, i) => {
      const to = ring[(i + 1) % ring.length];
      const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
      if (length < 1e-6) return true;
      const [nx, ny] = [(to[1] - from[1]) / length, (from[0] - to[0]) / length];
      const along = (points: readonly Vec2[]) => points.map(([x, y]) => x * nx + y * ny);
      const [u, v] = [along(p), along(q)];
      return Math.min(...u) < Math.max(...v) - OVER && Math.max(...u) > Math.min(...v) + OVER;
    }),
  );
}

export const flickerRule: CheckRule<'flicker'> = { id: 'flicker', check: flicker };
