import type { Course, Piece } from '../course';
import { faceNormal, type Vec3 } from '../geometry';
import { contactShapes } from './contact';
import { toWorld } from './geometry';

type Rules = Pick<Course, 'collides' | 'shapes' | 'allowances'>;

/** From where to where, upwards, an upright line lies within a solid, m; null beside it. */
type Span = readonly [number, number] | null;

/**
 * Where an upright line lies within each of a piece's solids, for any place of the map; what can be worked out
 * of the piece is, once.
 */
export function spansOf(course: Rules, piece: Piece): (x: number, z: number) => Span[] {
  const place = toWorld(piece);
  const solids = contactShapes(course, piece)
    .filter(({ role }) => role === 'solid')
    .map(({ form }) =>
      form.kind === 'ball'
        ? overBall(place(form.centre), form.radius)
        : overHull(form.solid.points.map(place), form.solid.faces),
    );
  return (x, z) => solids.map((over) => over(x, z));
}

/**
 * Height of the highest top of a piece's solids over a place of the map, not above a height given; or
 * -Infinity where there is none.
 * @param course its rules of what touches
 * @param piece the piece whose tops are looked for
 * @param x of the place, in the world, m
 * @param z of the place, in the world, m
 * @param most height above which tops are left out, m
 */
export function topOver(
  course: Rules,
  piece: Piece,
  x: number,
  z: number,
  most = Infinity,
): number {
  let highest = -Infinity;
  for (const span of spansOf(course, piece)(x, z)) {
    if (span && span[1] <= most && span[1] > highest) highest = span[1];
  }
  return highest;
}

const overBall =
  ([cx, cy, cz]: Vec3, radius: number) =>
  (x: number, z: number): Span => {
    const square = radius * radius - (x - cx) * (x - cx) - (z - cz) * (z - cz);
    return square < 0 ? null : [cy - Math.sqrt(square), cy + Math.sqrt(square)];
  };

/** An upright line leaves a convex solid under every face that looks up, over those that look down. */
function overHull(points: readonly Vec3[], faces: readonly (readonly number[])[]) {
  const planes = faces.map((face) => {
    const normal = faceNormal({ points, faces }, face);
    const [px, py, pz] = points[face[0]];
    return { normal, offset: normal[0] * px + normal[1] * py + normal[2] * pz };
  });
  return (x: number, z: number): Span => {
    let low = -Infinity;
    let high = Infinity;
    for (const { normal, offset } of planes) {
      const [nx, ny, nz] = normal;
      const above = offset - nx * x - nz * z;
      if (ny > LEVEL) high = Math.min(high, above / ny);
      else if (ny < -LEVEL) low = Math.max(low, above / ny);
      else if (above < 0) return null;
    }
    return high >= low ? [low, high] : null;
  };
}

/** Upward part of a normal under which a face counts as upright. */
const LEVEL = 1e-9;
