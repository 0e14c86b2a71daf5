import type { Course, Piece, PictureCamera } from '../course';
import {
  cosDeg,
  cross,
  distance,
  dot,
  lerp,
  mapPoints,
  normalize,
  sinDeg,
  sub,
  type Vec3,
} from '../geometry';
import { applyPose, poseAt } from '../motion';
import {
  facetColour,
  facetsOf,
  localGeometry,
  registerModels,
  worldParts,
  type Part,
} from '../pieces';

/** A flat polygon of a drawing: corners in drawing units, y down. */
export interface DrawnFace {
  readonly points: readonly (readonly [number, number])[];
  readonly fill: string;
  /** Whether the edge from each corner to the next has an ink line. */
  readonly ink: readonly boolean[];
}

/** A picture made of flat polygons, the hindmost first, within a frame of its own size. */
export interface Drawing {
  readonly width: number;
  readonly height: number;
  readonly faces: readonly DrawnFace[];
  /** Whether it fills what it is shown in from top to bottom, and goes on to the sides. */
  readonly fills?: boolean;
}

/** The way one looks at a drawing. */
const SLANTED: Vec3 = normalize([-0.55, -0.55, -1]);
const LEVEL: Vec3 = normalize([-0.22, -0.3, -1]);

/** A picture of solids by themselves, seen from the front, right and above. */
export const drawParts = (parts: readonly Part[]): Drawing => draw(parts, SLANTED);

/** A picture of one piece by itself, seen from the front, right and above. */
export function drawPiece(piece: Parameters<typeof localGeometry>[0]): Drawing {
  const { parts, motion } = localGeometry(piece);
  // What moves is drawn half way through, where it shows what it does: spikes out, an arm hanging.
  const pose = motion && poseAt({ ...motion, phase: motion.kind === 'slide' ? 0.25 : 0 }, 0);
  // Of what is nothing but felt, that is drawn.
  const seen = parts.filter(({ unseen }) => !unseen);
  return draw(
    (seen.length > 0 ? seen : parts).map(({ unseen: _, ...part }) =>
      part.moving && pose
        ? { ...part, solid: mapPoints(part.solid, (p) => applyPose(pose, p)) }
        : part,
    ),
    SLANTED,
  );
}

/** A picture of several pieces as they stand to each other. */
export const drawPieces = (pieces: readonly Piece[]): Drawing =>
  draw(pieces.flatMap(worldParts), SLANTED);

/** Metres of a long stage that a picture shows, each way from where it begins. */
const PICTURED = 15;

/**
 * A picture of a course: as its maker has it taken, or else from above, and low for a side-on stage. Of a long stage
 * it then shows where it begins: the whole would be a thin line. A course that spreads keeps its shape when small.
 */
export function drawCourse(course: Course): Drawing {
  registerModels(course);
  const { picture } = course;
  if (picture && distance(picture.at, picture.look) > NEAR) {
    return taken(course.pieces.flatMap(worldParts), picture);
  }
  if (course.space !== 'side-on') return draw(course.pieces.flatMap(worldParts), SLANTED);
  const begin = (course.pieces.find(({ family }) => family === 'start') ?? course.pieces[0])?.at;
  const shown = course.pieces.filter(
    ({ at: [x] }) => x > begin[0] - PICTURED / 2 && x < begin[0] + 1.6 * PICTURED,
  );
  return draw(shown.flatMap(worldParts), LEVEL);
}

type Place = readonly [number, number];

/** How corners of the world come to be places in a drawing. */
interface Projection {
  /** How far away a point counts as. */
  readonly depth: (p: Vec3) => number;
  /** Whether a face at a point, with its normal, is seen from its front. */
  readonly faces: (normal: Vec3, p: Vec3) => boolean;
  /** A face as it is drawn, or null where it is not; with which of its edges have ink. */
  readonly flat: (
    points: readonly Vec3[],
    ink: readonly boolean[],
  ) => { points: readonly Place[]; ink: readonly boolean[] } | null;
}

/** Solids drawn without perspective, in a frame that just takes them. */
function draw(parts: readonly Part[], look: Vec3): Drawing {
  const right = normalize(cross(look, [0, 1, 0]));
  const up = cross(right, look);
  const faces = paint(parts, {
    depth: (p) => dot(p, look),
    faces: (normal) => dot(normal, look) < -1e-6,
    flat: (points, ink) => ({ ink, points: points.map((p) => [dot(p, right), -dot(p, up)]) }),
  });
  if (faces.length === 0) return { width: 1, height: 1, faces };
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { points } of faces) {
    for (const [x, y] of points) {
      x0 = Math.min(x0, x);
      x1 = Math.max(x1, x);
      y0 = Math.min(y0, y);
      y1 = Math.max(y1, y);
    }
  }
  return {
    width: x1 - x0,
    height: y1 - y0,
    faces: faces.map((face) => ({
      ...face,
      points: face.points.map(([x, y]) => [x - x0, y - y0] as const),
    })),
  };
}

/** Height of what a picture shows when its maker says nothing, degrees. */
export const USUAL_FIELD = 32;
/** Nothing nearer to the eye than this is drawn, m. */
const NEAR = 0.3;
/** How many times as wide as high a picture is at most. */
const WIDEST = 4;

/** Solids as they are seen from a place, in a frame of height 1 with its middle at the place looked at. */
function taken(parts: readonly Part[], { at, look, field = USUAL_FIELD }: PictureCamera): Drawing {
  const ahead = normalize(sub(look, at));
  // Straight down or up, north is at the top.
  const level = Math.abs(ahead[1]) > 0.9999 ? ([0, 0, -1] as const) : ([0, 1, 0] as const);
  const right = normalize(cross(ahead, level));
  const up = cross(right, ahead);
  const scale = 0.5 / (sinDeg(field / 2) / cosDeg(field / 2));
  const depth = (p: Vec3) => dot(sub(p, at), ahead);
  const faces = paint(
    parts.filter(({ solid }) => solid.points.some((p) => depth(p) > NEAR)),
    {
      depth: (p) => distance(p, at),
      faces: (normal, p) => dot(normal, sub(p, at)) < 0,
      flat: (points, ink) => {
        const cut = beyond(points, ink, (p) => depth(p) - NEAR);
        const flat = cut.points.map((p): Place => {
          const k = scale / depth(p);
          return [WIDEST / 2 + dot(sub(p, at), right) * k, 0.5 - dot(sub(p, at), up) * k];
        });
        const off = (axis: 0 | 1, low: number, high: number) =>
          flat.every((p) => p[axis] < low) || flat.every((p) => p[axis] > high);
        return flat.length < 3 || off(0, 0, WIDEST) || off(1, 0, 1)
          ? null
          : { points: flat, ink: cut.ink };
      },
    },
  );
  return { width: WIDEST, height: 1, faces, fills: true };
}

/** What of a polygon lies where something is above 0 (Sutherland and Hodgman, 1974); a cut has no ink. */
function beyond(points: readonly Vec3[], ink: readonly boolean[], above: (p: Vec3) => number) {
  const kept: Vec3[] = [];
  const inked: boolean[] = [];
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length];
    const [a, b] = [above(p), above(q)];
    if (a > 0) {
      kept.push(p);
      inked.push(ink[i]);
    }
    if (a > 0 !== b > 0) {
      kept.push(lerp(p, q, a / (a - b)));
      inked.push(a > 0 ? false : ink[i]);
    }
  });
  return { points: kept, ink: inked };
}

/** The faces of solids that are seen, the further ones first (painter's algorithm). */
function paint(parts: readonly Part[], { depth, faces, flat }: Projection): DrawnFace[] {
  const depthOf = (points: readonly Vec3[]) =>
    points.reduce((sum, p) => sum + depth(p), 0) / Math.max(1, points.length);
  const order = parts
    .map((part) => ({ part, far: depthOf(part.solid.points) }))
    .sort((a, b) => b.far - a.far)
    .map(({ part }) => part);
  return facetsOf(order).flatMap(({ points, normal: n, tone, ink }, f): DrawnFace[] => {
    if (!faces(n, points[0])) return [];
    const drawn = flat(
      points,
      ink.map((id) => id >= 0),
    );
    if (!drawn) return [];
    const fill = facetColour(tone, n[0], n[1], n[2], f * 31 + points.length)
      .map((c) =>
        Math.round(c * 255)
          .toString(16)
          .padStart(2, '0'),
      )
      .join('');
    return [{ ...drawn, fill: `#${fill}` }];
  });
}

/** The largest faces, so many at most, in the order they were in. */
function largest(faces: readonly DrawnFace[], most: number): readonly DrawnFace[] {
  if (faces.length <= most) return faces;
  const areas = faces.map(({ points }) => areaOf(points));
  const least = [...areas].sort((a, b) => b - a)[most];
  return faces.filter((_, i) => areas[i] > least);
}

/** The area of a polygon (the shoelace formula). */
function areaOf(points: readonly Place[]): number {
  let sum = 0;
  for (let i = 0; i < points.length; i++) {
    const [a, b] = [points[i], points[(i + 1) % points.length]];
    sum += a[0] * b[1] - b[0] * a[1];
  }
  return Math.abs(sum) / 2;
}

/**
 * The drawing as SVG text, fitted into a frame with a margin.
 * @param drawing what is drawn, m
 * @param width of the picture, pixels
 * @param height of the picture, pixels
 * @param margin left about it, pixels
 * @param line width of the ink lines, pixels; 0 for none
 * @param most how many faces are drawn; of more the smallest are left out
 */
export function toSvg(
  drawing: Drawing,
  width: number,
  height: number,
  margin: number,
  line: number,
  most = Infinity,
): string {
  const scale = drawing.fills
    ? height / drawing.height
    : Math.min((width - 2 * margin) / drawing.width, (height - 2 * margin) / drawing.height);
  const left = (width - drawing.width * scale) / 2;
  const top = (height - drawing.height * scale) / 2;
  const polygons = largest(drawing.faces, most).map(({ points, fill, ink }) => {
    const corners = points.map(
      ([x, y]) => `${(left + x * scale).toFixed(1)},${(top + y * scale).toFixed(1)}`,
    );
    // A hair of the fill's own colour closes the seams between neighbours.
    const face = `<polygon points="${corners.join(' ')}" fill="${fill}" stroke="${fill}" stroke-width="0.5"/>`;
    if (line <= 0) return face;
    const edges = ink
      .map((inked, i) => (inked ? `M${corners[i]}L${corners[(i + 1) % corners.length]}` : ''))
      .join('');
    return edges
      ? `${face}<path d="${edges}" stroke="#1F2A2E" stroke-width="${line}" stroke-linecap="round"/>`
      : face;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}" stroke-linejoin="round">${polygons.join('')}</svg>`;
}
