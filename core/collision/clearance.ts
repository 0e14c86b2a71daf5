import type { Ball } from './ball';
import type { InflatedHull } from './inflatedHull';
import { frontFaces, insideFace, markFrontFaces, tiedFace } from './face';

const clamp01 = (v: number): number => (v < 0 ? 0 : v > 1 ? 1 : v);

/** How far a ball is from a body, and the way out; reused by the caller. */
export interface Clearance {
  /** Metres between the surfaces; negative when they overlap. */
  distance: number;
  nx: number;
  ny: number;
  nz: number;
}

export const newClearance = (): Clearance => ({ distance: Infinity, nx: 0, ny: 1, nz: 0 });

/**
 * Signed distance from a ball to a hull, with the direction away from it.
 * @param body the hull that is asked
 * @param ball in the hull's frame, m
 * @param out is written to
 * @param far distances beyond this, m, need only be told to be at least so; the direction then says nothing
 */
export function clearance(
  body: InflatedHull,
  ball: Readonly<Ball>,
  out: Clearance,
  far = Infinity,
): Clearance {
  const { x, y, z } = ball;
  const { normals, offsets, points, edges, edgeFaces } = body;
  let deepest = -Infinity;
  let face = -1;
  for (let f = 0; f < offsets.length; f++) {
    const i = 3 * f;
    const gap = normals[i] * x + normals[i + 1] * y + normals[i + 2] * z - offsets[f];
    if (gap > deepest) {
      deepest = gap;
      face = f;
    }
  }
  const radius = ball.radius + body.radius;
  if (deepest - radius > far) {
    out.distance = deepest - radius;
    return out;
  }
  if (face >= 0 && (deepest <= 0 || insideFace(body, face, x, y, z))) {
    out.distance = deepest - radius;
    out.nx = normals[3 * face];
    out.ny = normals[3 * face + 1];
    out.nz = normals[3 * face + 2];
    return out;
  }
  const over = face < 0 ? face : tiedFace(body, face, x, y, z);
  if (over >= 0) {
    out.nx = normals[3 * over];
    out.ny = normals[3 * over + 1];
    out.nz = normals[3 * over + 2];
    out.distance = out.nx * x + out.ny * y + out.nz * z - offsets[over] - radius;
    return out;
  }
  let best = Infinity;
  const faceless = edgeFaces.length === 0;
  markFrontFaces(body, x, y, z);
  const faced = frontFaces();
  for (let k = 0; k < edges.length; k += 2) {
    if (!faceless && !faced[edgeFaces[k]] && !faced[edgeFaces[k + 1]]) continue;
    const a = 3 * edges[k];
    const b = 3 * edges[k + 1];
    const ex = points[b] - points[a];
    const ey = points[b + 1] - points[a + 1];
    const ez = points[b + 2] - points[a + 2];
    const px = x - points[a];
    const py = y - points[a + 1];
    const pz = z - points[a + 2];
    const ee = ex * ex + ey * ey + ez * ez;
    const s = ee > 0 ? clamp01((px * ex + py * ey + pz * ez) / ee) : 0;
    const nx = px - ex * s;
    const ny = py - ey * s;
    const nz = pz - ez * s;
    const dd = nx * nx + ny * ny + nz * nz;
    if (dd < best) {
      best = dd;
      const l = Math.sqrt(dd);
      out.distance = l - radius;
      out.nx = l > 0 ? nx / l : 0;
      out.ny = l > 0 ? ny / l : 1;
      out.nz = l > 0 ? nz / l : 0;
    }
  }
  return out;
}
