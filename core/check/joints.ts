import { endIndex, endsOf, piecesOver, type End } from '../assemble';
import { BOUNDS, type Piece } from '../course';
import {
  boundsOf,
  boxesMeet,
  dot,
  rotate,
  sub,
  type Bounds,
  type Vec2,
  type Vec3,
} from '../geometry';
import {
  facetsOf,
  familyOf,
  localGeometry,
  pieceBounds,
  toWorld,
  turnOf,
  type Facet,
  type PieceGeometry,
  markOf,
} from '../pieces';
import { intendedWay } from '../route';
import { byTheWay } from './byTheWay';
import { MOST_PAIRS, sparseOf } from './crowd';
import { about, type Check, type Finding } from './finding';

/** Findings of one rule that are told; more of the same kind add nothing. */
const MOST = 12;
/** Gaps wider than this are meant, m. */
const HAIR = 0.05;
/** Nearer than this is joined, m. */
const JOINED = 1e-4;

const outOf = ({ turn }: End): Vec3 => [turn[0], turn[3], turn[6]];

/** Ends that nearly meet: a hairline between neighbours on the way. */
export const gaps: Check = (whole) => {
  const course = { ...whole, pieces: sparseOf(whole).pieces };
  const index = endIndex(course);
  const { way } = intendedWay(course);
  const found: Finding[] = [];
  const told = new Set<string>();
  const byId = new Map(course.pieces.map((piece) => [piece.id, piece]));
  for (const piece of course.pieces) {
    if (found.length >= MOST) break;
    for (const end of endsOf(piece)) {
      const other = index
        .near(end.at, HAIR)
        .find(
          (near) =>
            near.piece !== piece.id && dot(outOf(near), outOf(end)) < -0.99 && byId.has(near.piece),
        );
      if (!other) continue;
      const by = sub(end.at, other.at);
      const wide = Math.sqrt(dot(by, by));
      const key = [piece.id, other.piece].sort().join(' ');
      if (wide < JOINED || told.has(key) || !byTheWay(way, end.at)) continue;
      told.add(key);
      const label = familyOf(byId.get(other.piece)!.family).label;
      found.push({
        ...about(
          byId.get(other.piece)!,
          'gap',
          'notice',
          `${label} stands ${wide < 0.0005 ? 'under a millimetre' : `${(wide * 100).toFixed(1)} cm`} off its neighbour.`,
          { label: 'Close the gap', edit: { do: 'move', id: other.piece, by } },
        ),
        at: end.at,
      });
    }
  }
  return found;
};

/** Track ends that lead nowhere: to no other end, nor to anything to go on over. */
export const openEnds: Check = (whole) => {
  const course = sparseOf(whole);
  const index = endIndex(course);
  const marks = course.pieces.filter((piece) => ['start', 'goal'].includes(markOf(piece) ?? ''));
  return index
    .open('track')
    .filter(
      (end) =>
        !index.near(end.at, HAIR).some((near) => near.piece !== end.piece) &&
        !marks.some(({ at }) => Math.hypot(at[0] - end.at[0], at[2] - end.at[2]) < 6),
    )
    .slice(0, MOST)
    .map((end) => ({
      rule: 'open-end',
      weight: 'notice',
      message: 'A track ends here and goes on to nothing.',
      piece: end.piece,
      at: end.at,
    }));
};

/** Families whose picture has a direction. */
const PATTERNED = new Set(['boards', 'setts']);

/** Patterned floors turned against the neighbour they join. */
export const patterns: Check = (whole) => {
  const course = sparseOf(whole);
  const index = endIndex(course);
  const byId = new Map(course.pieces.map((piece) => [piece.id, piece]));
  const found: Finding[] = [];
  const told = new Set<string>();
  const heading = (piece: Piece) => Math.round(piece.turn?.[1] ?? 0) % 180;
  for (const piece of course.pieces) {
    if (!PATTERNED.has(piece.family) || told.has(piece.id)) continue;
    for (const end of endsOf(piece)) {
      const other = index
        .near(end.at, HAIR)
        .map((near) => byId.get(near.piece)!)
        .find((near) => near.id > piece.id && near.family === piece.family);
      if (!other || heading(other) === heading(piece) || told.has(other.id)) continue;
      told.add(other.id);
      const [x, y, z] = piece.turn ?? [0, 0, 0];
      found.push(
        about(
          other,
          'pattern',
          'notice',
          `${familyOf(other.family).label}: its pattern is turned against its neighbour's.`,
          { label: 'Turn it alike', edit: { do: 'turn', id: other.id, turn: [x, y, z] } },
        ),
      );
    }
    if (found.length >= MOST) break;
  }
  return found;
};

/** Facets smaller than this flicker unseen, m². */
const SMALL = 0.02;
const facetsByForm = new WeakMap<PieceGeometry, Facet[]>();

interface Flat extends Bounds {
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
  return facets.flatMap(({ points, normal: own }): Flat[] => {
    const normal = rotate(turn, own);
    // Undersides are not looked at: pieces stand on things, and the eye stays above them.
    if (normal[1] < -0.5) return [];
    const corners = points.map(place);
    return [{ points: corners, normal, offset: dot(normal, corners[0]), ...boundsOf(corners) }];
  });
}

/** Faces nearer to one plane than this are in it, m, and as parallel as this, as a cosine. */
const IN_PLANE = 2e-3;
const PARALLEL = 0.99999;

/** Faces of two pieces that lie in one plane, look the same way and overlap: they flicker. */
export const flicker: Check = (course) => {
  const { pieces } = sparseOf(course);
  const found: Finding[] = [];
  const told = new Set<string>();
  let pairs = 0;
  for (const piece of pieces) {
    if (found.length >= MOST || pairs > MOST_PAIRS) break;
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
        ...about(
          other,
          'flicker',
          'notice',
          `${familyOf(other.family).label} and ${familyOf(piece.family).label.toLowerCase()} have faces in one plane, which flicker.`,
          { label: 'Raise it by 1 cm', edit: { do: 'move', id: other.id, by: [0, 0.01, 0] } },
        ),
        at,
      });
    }
  }
  return found.slice(0, MOST);
};

/** A place where faces of both lie over each other in one plane, or null. */
function sharedFace(mine: readonly Flat[], its: readonly Flat[]): Vec3 | null {
  for (const a of mine) {
    for (const b of its) {
      if (Math.abs(a.offset - b.offset) > IN_PLANE || !boxesMeet(a, b, IN_PLANE)) continue;
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

/** Solid pieces that lie wholly within another: nobody will ever see or touch them. */
export const inside: Check = (course) => {
  const { pieces } = sparseOf(course);
  const found: Finding[] = [];
  let pairs = 0;
  for (const outer of pieces) {
    if (pairs > MOST_PAIRS) break;
    const { low, high } = pieceBounds(outer);
    const over = piecesOver(pieces, low[0], low[2], high[0], high[2]);
    pairs += over.length;
    for (const inner of over) {
      const box = pieceBounds(inner);
      const within = [0, 1, 2].every(
        (axis) => box.low[axis] > low[axis] && box.high[axis] < high[axis],
      );
      if (!within || familyOf(inner.family).group === 'marks' || !holds(outer, box)) continue;
      found.push(
        about(
          inner,
          'inside',
          'notice',
          `${familyOf(inner.family).label} lies wholly inside ${familyOf(outer.family).label.toLowerCase()}.`,
          { label: 'Take it away', edit: { do: 'remove', id: inner.id } },
        ),
      );
      if (found.length >= MOST) return found;
    }
  }
  return found;
};

/** Whether one convex solid of a piece holds every corner of a box. */
function holds(piece: Piece, { low, high }: { low: Vec3; high: Vec3 }): boolean {
  const place = toWorld(piece);
  const corners = [low, high].flatMap(([x]) =>
    [low, high].flatMap(([, y]) => [low, high].map(([, , z]): Vec3 => [x, y, z])),
  );
  return localGeometry(piece).parts.some(({ solid, mesh, moving }) => {
    if (mesh || moving) return false;
    return solid.faces.every((face) => {
      const [a, b, c] = face.map((i) => place(solid.points[i]));
      const [u, v] = [sub(b, a), sub(c, a)];
      const n: Vec3 = [
        u[1] * v[2] - u[2] * v[1],
        u[2] * v[0] - u[0] * v[2],
        u[0] * v[1] - u[1] * v[0],
      ];
      return corners.every((p) => dot(n, sub(p, a)) < 0);
    });
  });
}

/** Pieces that reach out of where a course can be. */
export const outside: Check = ({ pieces }) =>
  pieces
    .filter((piece) => {
      const { low, high } = pieceBounds(piece);
      return [...low, ...high].some((v) => Math.abs(v) > BOUNDS);
    })
    .slice(0, MOST)
    .map((piece) =>
      about(piece, 'bounds', 'error', `Reaches further than ${BOUNDS} m from the origin.`),
    );

/** Triangles and lights beyond which phones draw too slowly. */
export const MOST_TRIANGLES = 400_000;
export const MOST_LIGHTS = 150;
const LIGHTS = new Set(['lamp', 'lantern', 'hoop', 'buoy']);

/** A scene too heavy for a phone, with what weighs most. */
export const heavy: Check = ({ pieces }) => {
  const weights = new Map<string, number>();
  let total = 0;
  let lights = 0;
  for (const piece of pieces) {
    const triangles = trianglesOf(localGeometry(piece));
    total += triangles;
    if (LIGHTS.has(piece.family)) lights++;
    weights.set(piece.family, (weights.get(piece.family) ?? 0) + triangles);
  }
  const found: Finding[] = [];
  if (total > MOST_TRIANGLES) {
    const [[family, most]] = [...weights].sort((a, b) => b[1] - a[1]);
    found.push({
      rule: 'heavy',
      weight: 'notice',
      message: `The scene has ${thousands(total)} triangles; ${thousands(MOST_TRIANGLES)} are quick on a phone. ${familyOf(family).label} takes ${thousands(most)} of them.`,
      piece: pieces.find((piece) => piece.family === family)?.id,
      at: pieces.find((piece) => piece.family === family)?.at,
    });
  }
  if (lights > MOST_LIGHTS) {
    found.push({
      rule: 'heavy',
      weight: 'notice',
      message: `The scene has ${lights} lights; ${MOST_LIGHTS} are enough to see by.`,
    });
  }
  return found;
};

const thousands = (n: number): string => `${Math.round(n / 1000)} thousand`;
const triangles = new WeakMap<PieceGeometry, number>();

/** Triangles a form is drawn with. */
export function trianglesOf(form: PieceGeometry): number {
  let known = triangles.get(form);
  if (known === undefined) {
    known = form.parts.reduce(
      (sum, { solid }) => sum + solid.faces.reduce((n, face) => n + face.length - 2, 0),
      0,
    );
    triangles.set(form, known);
  }
  return known;
}

export const JOINTS: readonly Check[] = [gaps, openEnds, patterns, flicker, inside, outside, heavy];
