import type { InflatedHull } from './inflatedHull';

/** Slack of the inside-a-face test, metres; the edges beside it cover the rest. */
const RIM = 1e-9;

/**
 * Whether a point on a face's plane (or off it along the normal) lies over the face's own area.
 * @param body the hull that is asked
 * @param face which of its faces
 * @param x of a place on the face’s plane, in the hull’s frame, m
 * @param y of the place, m
 * @param z of the place, m
 */
export function insideFace(
  body: InflatedHull,
  face: number,
  x: number,
  y: number,
  z: number,
): boolean {
  const { starts } = body;
  const rims = (body.rims ??= rimsOf(body));
  for (let i = 4 * starts[face], end = 4 * starts[face + 1]; i < end; i += 4) {
    if (rims[i] * x + rims[i + 1] * y + rims[i + 2] * z < rims[i + 3]) return false;
  }
  return true;
}

/**
 * Faces whose planes are this near to one another at a place may hide one another there, m: more than
 * rounding makes of faces in one plane, and of a seam between two that sinks by as much.
 */
const TIE = 1e-6;

/**
 * The face that a place lies over, of those whose planes are as far from it as that of the face given, which
 * is the farthest and beside which it lies: where faces share a plane, or all but share it, any of them may be
 * told as the farthest. Asked after `insideFace`, which mostly answers.
 * @param body the hull that is asked
 * @param face which of its faces
 * @param x of a place, in the hull’s frame, m
 * @param y of the place, m
 * @param z of the place, m
 * @returns a face, or -1 when the place lies beside all of them
 */
export function tiedFace(
  body: InflatedHull,
  face: number,
  x: number,
  y: number,
  z: number,
): number {
  const { normals, offsets } = body;
  const gapTo = (f: number) =>
    normals[3 * f] * x + normals[3 * f + 1] * y + normals[3 * f + 2] * z - offsets[f];
  const least = gapTo(face) - TIE;
  for (let f = 0; f < offsets.length; f++) {
    if (f !== face && gapTo(f) >= least && insideFace(body, f, x, y, z)) return f;
  }
  return -1;
}

/** For each corner of each loop the plane through the edge that ends there, upright on the face: see Body. */
function rimsOf({ points, loops, starts, normals }: InflatedHull): Float64Array {
  const rims = new Float64Array(4 * loops.length);
  for (let f = 0; f + 1 < starts.length; f++) {
    const nx = normals[3 * f];
    const ny = normals[3 * f + 1];
    const nz = normals[3 * f + 2];
    let a = 3 * loops[starts[f + 1] - 1];
    for (let k = starts[f]; k < starts[f + 1]; k++) {
      const b = 3 * loops[k];
      const ex = points[b] - points[a];
      const ey = points[b + 1] - points[a + 1];
      const ez = points[b + 2] - points[a + 2];
      // Normal × edge looks inwards.
      const x = ny * ez - nz * ey;
      const y = nz * ex - nx * ez;
      const z = nx * ey - ny * ex;
      rims[4 * k] = x;
      rims[4 * k + 1] = y;
      rims[4 * k + 2] = z;
      rims[4 * k + 3] = x * points[a] + y * points[a + 1] + z * points[a + 2] - RIM;
      a = b;
    }
  }
  return rims;
}

let frontFaceFlags = new Uint8Array(64);

/**
 * Of the body looked at last, which faces look at the place, or at one of the two, that it was looked at
 * from; read before another is looked at. Whatever is nearest to a place outside a convex body belongs to such
 * a face: what leads there from the body is a sum of the normals that meet there, none of them taken away, and
 * so leans towards one of them at least.
 */
export const frontFaces = (): Uint8Array => frontFaceFlags;

/**
 * Finds the front faces of a body; with `more` beside those found before.
 * @param body the hull that is asked
 * @param x of the place it is looked at from, in the hull’s frame, m
 * @param y of the place, m
 * @param z of the place, m
 * @param more whether those found before stay marked
 */
export function markFrontFaces(
  body: InflatedHull,
  x: number,
  y: number,
  z: number,
  more = false,
): void {
  const { normals, offsets } = body;
  if (frontFaceFlags.length < offsets.length) frontFaceFlags = new Uint8Array(2 * offsets.length);
  for (let f = 0; f < offsets.length; f++) {
    const i = 3 * f;
    const looks = normals[i] * x + normals[i + 1] * y + normals[i + 2] * z - offsets[f] >= -RIM;
    frontFaceFlags[f] = looks || (more && frontFaceFlags[f] === 1) ? 1 : 0;
  }
}
