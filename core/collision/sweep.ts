import type { InflatedHull } from './inflatedHull';
import { frontFaces, insideFace, markFrontFaces, tiedFace } from './face';

/** The first touch of a sweep; reused by the caller so that sweeping makes no garbage. */
export interface Touch {
  /** The part of the displacement that can be made before touching, 0 to 1. */
  t: number;
  /** Unit normal of the touched surface, pointing at the runner. */
  nx: number;
  ny: number;
  nz: number;
  /** Greatest upward part of the normals of the faces that meet at the touch; see Body.edgeTops. */
  top: number;
  /** Whether an edge or a corner was touched, not the flat of a face. */
  edge: boolean;
}

export const newTouch = (): Touch => ({ t: 1, nx: 0, ny: 0, nz: 0, top: 0, edge: false });

/** A displacement that closes on a surface by less than this runs along it, m. */
const CLOSING = 1e-12;
/** Squared sine under which a path counts as running along an edge. */
const PARALLEL = 1e-12;

/**
 * Sweeps a ball against a body, exactly: against the faces pushed out by the radius, and where the
 * path leaves a face's own area, against the rounded edges and corners.
 *
 * Starting clear of the body gives the first touch. Starting within it gives a touch at t = 0 if
 * the displacement goes further in, and none if it leads out.
 *
 * @param x,y,z middle of the ball at the start, m
 * @param dx,dy,dz displacement, m
 * @param r radius of the ball, m; the body's own is added
 * @param out holds the nearest touch so far; it is replaced only by a nearer one
 * @returns whether `out` was replaced
 */
export function sweep(
  body: InflatedHull,
  x: number,
  y: number,
  z: number,
  dx: number,
  dy: number,
  dz: number,
  r: number,
  out: Touch,
): boolean {
  const radius = r + body.radius;
  const { normals, offsets } = body;
  const faces = offsets.length;
  let enter = -Infinity;
  let leave = Infinity;
  let face = -1;
  for (let f = 0; f < faces; f++) {
    const i = 3 * f;
    const nx = normals[i];
    const ny = normals[i + 1];
    const nz = normals[i + 2];
    const gap = nx * x + ny * y + nz * z - offsets[f] - radius;
    const pace = nx * dx + ny * dy + nz * dz;
    if (pace < -CLOSING) {
      const t = -gap / pace;
      if (t > enter) {
        enter = t;
        face = f;
      }
    } else if (pace > CLOSING) {
      const t = -gap / pace;
      if (t < leave) leave = t;
    } else if (gap > 0) {
      return false;
    }
    if (enter > leave || enter >= out.t || leave < 0) return false;
  }
  if (face >= 0 && enter >= 0) {
    const px = x + dx * enter;
    const py = y + dy * enter;
    const pz = z + dz * enter;
    if (insideFace(body, face, px, py, pz)) {
      out.t = enter;
      out.nx = normals[3 * face];
      out.ny = normals[3 * face + 1];
      out.nz = normals[3 * face + 2];
      out.top = out.ny;
      out.edge = false;
      return true;
    }
    const over = tiedFace(body, face, px, py, pz);
    if (over >= 0) return touchFace(body, over, x, y, z, dx, dy, dz, radius, out);
  } else if (faces > 0 && touchWithin(body, x, y, z, dx, dy, dz, radius, out)) {
    return true;
  }
  const from = enter > 0 ? enter : 0;
  const to = leave < out.t ? leave : out.t;
  markFrontFaces(body, x + dx * from, y + dy * from, z + dz * from);
  if (to > from) markFrontFaces(body, x + dx * to, y + dy * to, z + dz * to, true);
  return sweepEdges(body, x, y, z, dx, dy, dz, radius, out);
}

/** A touch at the start, for a ball whose middle lies in the polyhedron or over a face within reach. */
function touchWithin(
  body: InflatedHull,
  x: number,
  y: number,
  z: number,
  dx: number,
  dy: number,
  dz: number,
  radius: number,
  out: Touch,
): boolean {
  const { normals, offsets } = body;
  let nearest = -Infinity;
  let face = -1;
  for (let f = 0; f < offsets.length; f++) {
    const i = 3 * f;
    const gap = normals[i] * x + normals[i + 1] * y + normals[i + 2] * z - offsets[f];
    if (gap > nearest) {
      nearest = gap;
      face = f;
    }
  }
  if (nearest > radius) return false;
  const over =
    nearest <= 0 || insideFace(body, face, x, y, z) ? face : tiedFace(body, face, x, y, z);
  return over >= 0 && touchFace(body, over, x, y, z, dx, dy, dz, radius, out);
}

/** Has `out` tell of a face's touch, at once where it is reached already, if the displacement goes into it. */
function touchFace(
  { normals, offsets }: InflatedHull,
  face: number,
  x: number,
  y: number,
  z: number,
  dx: number,
  dy: number,
  dz: number,
  radius: number,
  out: Touch,
): boolean {
  const nx = normals[3 * face];
  const ny = normals[3 * face + 1];
  const nz = normals[3 * face + 2];
  const pace = nx * dx + ny * dy + nz * dz;
  if (pace >= -CLOSING) return false;
  const gap = nx * x + ny * y + nz * z - offsets[face] - radius;
  out.t = gap <= 0 ? 0 : -gap / pace;
  out.nx = nx;
  out.ny = ny;
  out.nz = nz;
  out.top = ny;
  out.edge = false;
  return true;
}

/** The first touch with the rounded edges and corners. */
function sweepEdges(
  body: InflatedHull,
  x: number,
  y: number,
  z: number,
  dx: number,
  dy: number,
  dz: number,
  radius: number,
  out: Touch,
): boolean {
  const { points, edges, edgeFaces, edgeTops } = body;
  const faced = frontFaces();
  const faceless = edgeFaces.length === 0;
  const dd = dx * dx + dy * dy + dz * dz;
  const rr = radius * radius;
  let found = false;
  for (let k = 0; k < edgeTops.length; k++) {
    if (!faceless && !faced[edgeFaces[2 * k]] && !faced[edgeFaces[2 * k + 1]]) continue;
    const a = 3 * edges[2 * k];
    const b = 3 * edges[2 * k + 1];
    const ex = points[b] - points[a];
    const ey = points[b + 1] - points[a + 1];
    const ez = points[b + 2] - points[a + 2];
    const ax = x - points[a];
    const ay = y - points[a + 1];
    const az = z - points[a + 2];
    const ee = ex * ex + ey * ey + ez * ez;
    const ed = ex * dx + ey * dy + ez * dz;
    const ea = ex * ax + ey * ay + ez * az;
    // The squared distance to the edge's line, less the radius, times ee: qa t² + 2 qb t + qc.
    const qa = ee * dd - ed * ed;
    const qb = ee * (ax * dx + ay * dy + az * dz) - ea * ed;
    const qc = ee * (ax * ax + ay * ay + az * az - rr) - ea * ea;
    if (qc > 0 && qb >= 0) continue;
    const h = qb * qb - qa * qc;
    if (h < 0) continue;
    let t = 0;
    // A path along the edge has no meaningful crossing of its side.
    if (qc > 0) {
      if (qa <= PARALLEL * ee * dd) continue;
      t = (-qb - Math.sqrt(h)) / qa;
    }
    const s = ea + t * ed;
    if (s <= 0 || s >= ee) {
      const corner = s <= 0 ? a : b;
      if (sweepCorner(x, y, z, dx, dy, dz, dd, rr, points, corner, edgeTops[k], out)) found = true;
      continue;
    }
    // A start within the rounding counts, as a touch at once, when the path goes further in.
    if (qc <= 0 && qb >= -PARALLEL * ee * dd) continue;
    if (t > out.t || (t === out.t && edgeTops[k] <= out.top)) continue;
    const u = s / ee;
    if (
      setTouch(
        t,
        ax + dx * t - ex * u,
        ay + dy * t - ey * u,
        az + dz * t - ez * u,
        dx,
        dy,
        dz,
        edgeTops[k],
        out,
      )
    ) {
      found = true;
    }
  }
  return found;
}

function sweepCorner(
  x: number,
  y: number,
  z: number,
  dx: number,
  dy: number,
  dz: number,
  dd: number,
  rr: number,
  points: Float64Array,
  corner: number,
  top: number,
  out: Touch,
): boolean {
  const px = x - points[corner];
  const py = y - points[corner + 1];
  const pz = z - points[corner + 2];
  const b = px * dx + py * dy + pz * dz;
  if (b >= 0) return false;
  const c = px * px + py * py + pz * pz - rr;
  const h = b * b - dd * c;
  if (h < 0) return false;
  const t = c <= 0 ? 0 : (-b - Math.sqrt(h)) / dd;
  if (t > out.t || (t === out.t && top <= out.top)) return false;
  return setTouch(t, px + dx * t, py + dy * t, pz + dz * t, dx, dy, dz, top, out);
}

/** Has `out` tell of a touch with a normal of any length, if the displacement closes on what is touched. */
function setTouch(
  t: number,
  nx: number,
  ny: number,
  nz: number,
  dx: number,
  dy: number,
  dz: number,
  top: number,
  out: Touch,
): boolean {
  const l = Math.sqrt(nx * nx + ny * ny + nz * nz);
  if (l === 0 || nx * dx + ny * dy + nz * dz >= -CLOSING * l) return false;
  out.t = t;
  out.nx = nx / l;
  out.ny = ny / l;
  out.nz = nz / l;
  out.top = top > out.ny ? top : out.ny;
  out.edge = true;
  return true;
}
