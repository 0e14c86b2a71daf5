import type { Body } from './body';

/** Slack of the inside-a-face test, metres; the edges beside it cover the rest. */
const RIM = 1e-9;

/** Whether a point on a face's plane (or off it along the normal) lies over the face's own area. */
export function insideFace(body: Body, face: number, x: number, y: number, z: number): boolean {
  const { points, loops, starts, normals } = body;
  const nx = normals[3 * face];
  const ny = normals[3 * face + 1];
  const nz = normals[3 * face + 2];
  const end = starts[face + 1];
  let a = 3 * loops[end - 1];
  for (let k = starts[face]; k < end; k++) {
    const b = 3 * loops[k];
    const ex = points[b] - points[a];
    const ey = points[b + 1] - points[a + 1];
    const ez = points[b + 2] - points[a + 2];
    const px = x - points[a];
    const py = y - points[a + 1];
    const pz = z - points[a + 2];
    // (edge × to the point) · normal is positive on the inner side.
    const side = (ey * pz - ez * py) * nx + (ez * px - ex * pz) * ny + (ex * py - ey * px) * nz;
    if (side < -RIM) return false;
    a = b;
  }
  return true;
}
