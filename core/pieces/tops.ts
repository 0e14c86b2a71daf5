import type { Course, Piece } from '../course';
import { faceNormal, type Vec3 } from '../geometry';
import { contactShapes } from './contact';
import { toWorld } from './geometry';

/**
 * Height of the highest top of a piece's solids over a place of the map, not above a height given; or
 * -Infinity where there is none.
 * @param x,z the place, m, in the world
 * @param most height above which tops are left out, m
 */
export function topOver(
  course: Pick<Course, 'collides' | 'shapes' | 'allowances'>,
  piece: Piece,
  x: number,
  z: number,
  most = Infinity,
): number {
  const place = toWorld(piece);
  let highest = -Infinity;
  for (const { role, form } of contactShapes(course, piece)) {
    if (role !== 'solid') continue;
    const top =
      form.kind === 'ball'
        ? topOfBall(place(form.centre), form.radius, x, z)
        : topOfHull(form.solid.points.map(place), form.solid.faces, x, z);
    if (top <= most && top > highest) highest = top;
  }
  return highest;
}

function topOfBall([cx, cy, cz]: Vec3, radius: number, x: number, z: number): number {
  const square = radius * radius - (x - cx) * (x - cx) - (z - cz) * (z - cz);
  return square < 0 ? -Infinity : cy + Math.sqrt(square);
}

/** Where an upright line leaves a convex solid: it is under every face that looks up, over those that look down. */
function topOfHull(
  points: readonly Vec3[],
  faces: readonly (readonly number[])[],
  x: number,
  z: number,
): number {
  let low = -Infinity;
  let high = Infinity;
  for (const face of faces) {
    const [nx, ny, nz] = faceNormal({ points, faces }, face);
    const [px, py, pz] = points[face[0]];
    const offset = nx * px + ny * py + nz * pz - nx * x - nz * z;
    if (ny > LEVEL) high = Math.min(high, offset / ny);
    else if (ny < -LEVEL) low = Math.max(low, offset / ny);
    else if (offset < 0) return -Infinity;
  }
  return high >= low ? high : -Infinity;
}

/** Upward part of a normal under which a face counts as upright. */
const LEVEL = 1e-9;
