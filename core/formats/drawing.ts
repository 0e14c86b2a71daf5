import type { Course, Piece } from '../course';
import { cross, dot, mapPoints, normalize, type Vec3 } from '../geometry';
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
}

/** The way one looks at a drawing. */
const SLANTED: Vec3 = normalize([-0.55, -0.55, -1]);
const LEVEL: Vec3 = normalize([-0.22, -0.3, -1]);

/** A picture of one piece by itself, seen from the front, right and above. */
export function drawPiece(piece: Parameters<typeof localGeometry>[0]): Drawing {
  const { parts, motion } = localGeometry(piece);
  // What moves is drawn half way through, where it shows what it does: spikes out, an arm hanging.
  const pose = motion && poseAt({ ...motion, phase: motion.kind === 'slide' ? 0.25 : 0 }, 0);
  return draw(
    parts.map(({ unseen: _, ...part }) =>
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

/** How much of a long course a picture shows, metres each way from where it begins. */
const PICTURED = 15;
/** The same of a free-roaming one, which is seen from above and keeps its shape when small. */
const ROAMED = 120;

/**
 * A picture of a course: low for a side-on stage, higher for one that spreads. Of a long one it
 * shows where it begins, as the whole would be too small to tell anything.
 */
export function drawCourse(course: Course): Drawing {
  registerModels(course);
  const begin = (course.pieces.find(({ family }) => family === 'start') ?? course.pieces[0])?.at;
  const sideOn = course.space === 'side-on';
  const shown = course.pieces.filter(({ at }) =>
    sideOn
      ? at[0] > begin[0] - PICTURED / 2 && at[0] < begin[0] + 1.6 * PICTURED
      : Math.abs(at[0] - begin[0]) < ROAMED && Math.abs(at[2] - begin[2]) < ROAMED,
  );
  return draw(shown.flatMap(worldParts), sideOn ? LEVEL : SLANTED);
}

/** Solids drawn without perspective, the further ones first (painter's algorithm). */
function draw(parts: readonly Part[], look: Vec3): Drawing {
  const right = normalize(cross(look, [0, 1, 0]));
  const up = cross(right, look);
  const depthOf = (points: readonly Vec3[]) =>
    points.reduce((sum, p) => sum + dot(p, look), 0) / Math.max(1, points.length);
  const order = parts
    .map((part) => ({ part, depth: depthOf(part.solid.points) }))
    .sort((a, b) => b.depth - a.depth)
    .map(({ part }) => part);
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  const faces = facetsOf(order).flatMap(({ points, normal: n, tone, ink }, f): DrawnFace[] => {
    if (dot(n, look) >= -1e-6) return [];
    const flat = points.map((p) => {
      const [x, y] = [dot(p, right), -dot(p, up)];
      x0 = Math.min(x0, x);
      x1 = Math.max(x1, x);
      y0 = Math.min(y0, y);
      y1 = Math.max(y1, y);
      return [x, y] as const;
    });
    const fill = facetColour(tone, n[0], n[1], n[2], f * 31 + points.length)
      .map((c) =>
        Math.round(c * 255)
          .toString(16)
          .padStart(2, '0'),
      )
      .join('');
    return [{ points: flat, fill: `#${fill}`, ink: ink.map((id) => id >= 0) }];
  });
  if (faces.length === 0) return { width: 1, height: 1, faces: [] };
  return {
    width: x1 - x0,
    height: y1 - y0,
    faces: faces.map(({ points, fill, ink }) => ({
      fill,
      ink,
      points: points.map(([x, y]) => [x - x0, y - y0] as const),
    })),
  };
}

/**
 * The drawing as SVG text, fitted into a frame with a margin.
 * @param line width of the ink lines, pixels; 0 for none
 */
export function toSvg(
  drawing: Drawing,
  width: number,
  height: number,
  margin: number,
  line: number,
): string {
  const scale = Math.min(
    (width - 2 * margin) / drawing.width,
    (height - 2 * margin) / drawing.height,
  );
  const left = (width - drawing.width * scale) / 2;
  const top = (height - drawing.height * scale) / 2;
  const polygons = drawing.faces.map(({ points, fill, ink }) => {
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
