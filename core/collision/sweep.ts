import type { MovingBall } from './ball';
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
 * Sweeps a ball against a hull, exactly: against the faces pushed out by the radius, and where the
 * path leaves a face's own area, against the rounded edges and corners.
 *
 * Starting clear of the hull gives the first touch. Starting within it gives a touch at t = 0 if
 * the displacement goes further in, and none if it leads out.
 *
 * @param hull what is swept against, with a radius of its own that is added to the ball's, m
 * @param ball where it starts and its displacement, in the hull's frame, m
 * @param out holds the nearest touch so far; it is replaced only by a nearer one
 * @returns whether `out` was replaced
 */
export function sweep(hull: InflatedHull, ball: MovingBall, out: Touch): boolean {
  const { x, y, z, dx, dy, dz } = ball;
  const radius = ball.radius + hull.radius;
  const { normals, offsets } = hull;
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
    if (insideFace(hull, face, px, py, pz)) {
      setFaceTouch(hull, face, enter, out);
      return true;
    }
    const over = tiedFace(hull, face, px, py, pz);
    if (over >= 0) return touchFace(hull, over, ball, out);
  } else if (faces > 0 && touchWithin(hull, ball, out)) {
    return true;
  }
  const from = enter > 0 ? enter : 0;
  const to = leave < out.t ? leave : out.t;
  markFrontFaces(hull, x + dx * from, y + dy * from, z + dz * from);
  if (to > from) markFrontFaces(hull, x + dx * to, y + dy * to, z + dz * to, true);
  return sweepEdges(hull, ball, out);
}

/** A touch at the start, for a ball whose middle lies in the polyhedron or over a face within reach. */
function touchWithin(hull: InflatedHull, ball: MovingBall, out: Touch): boolean {
  const { normals, offsets } = hull;
  const { x, y, z } = ball;
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
  if (nearest > ball.radius + hull.radius) return false;
  const over =
    nearest <= 0 || insideFace(hull, face, x, y, z) ? face : tiedFace(hull, face, x, y, z);
  return over >= 0 && touchFace(hull, over, ball, out);
}

/** Has `out` tell of a face's touch, at once where it is reached already, if the displacement goes into it. */
function touchFace(hull: InflatedHull, face: number, ball: MovingBall, out: Touch): boolean {
  const { normals, offsets } = hull;
  const nx = normals[3 * face];
  const ny = normals[3 * face + 1];
  const nz = normals[3 * face + 2];
  const pace = nx * ball.dx + ny * ball.dy + nz * ball.dz;
  if (pace >= -CLOSING) return false;
  const radius = ball.radius + hull.radius;
  const gap = nx * ball.x + ny * ball.y + nz * ball.z - offsets[face] - radius;
  setFaceTouch(hull, face, gap <= 0 ? 0 : -gap / pace, out);
  return true;
}

function setFaceTouch({ normals }: InflatedHull, face: number, t: number, out: Touch): void {
  out.t = t;
  out.nx = normals[3 * face];
  out.ny = normals[3 * face + 1];
  out.nz = normals[3 * face + 2];
  out.top = out.ny;
  out.edge = false;
}

/** From what is touched to the ball's middle, in no particular length; written before a touch is set. */
const away = { x: 0, y: 0, z: 0 };

/** The first touch with the rounded edges and corners. */
function sweepEdges(hull: InflatedHull, ball: MovingBall, out: Touch): boolean {
  const { points, edges, edgeFaces, edgeTops } = hull;
  const { x, y, z, dx, dy, dz } = ball;
  const flags = frontFaces();
  const faceless = edgeFaces.length === 0;
  const dd = dx * dx + dy * dy + dz * dz;
  const radius = ball.radius + hull.radius;
  const rr = radius * radius;
  let found = false;
  for (let k = 0; k < edgeTops.length; k++) {
    if (!faceless && !flags[edgeFaces[2 * k]] && !flags[edgeFaces[2 * k + 1]]) continue;
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
      if (sweepCorner(hull, s <= 0 ? a : b, edgeTops[k], ball, out)) found = true;
      continue;
    }
    // A start within the rounding counts, as a touch at once, when the path goes further in.
    if (qc <= 0 && qb >= -PARALLEL * ee * dd) continue;
    if (t > out.t || (t === out.t && edgeTops[k] <= out.top)) continue;
    const u = s / ee;
    away.x = ax + dx * t - ex * u;
    away.y = ay + dy * t - ey * u;
    away.z = az + dz * t - ez * u;
    if (setTouch(t, edgeTops[k], ball, out)) found = true;
  }
  return found;
}

/** The touch with one rounded corner, given by where its point begins. */
function sweepCorner(
  hull: InflatedHull,
  corner: number,
  top: number,
  ball: MovingBall,
  out: Touch,
): boolean {
  const { points } = hull;
  const { dx, dy, dz } = ball;
  const px = ball.x - points[corner];
  const py = ball.y - points[corner + 1];
  const pz = ball.z - points[corner + 2];
  const b = px * dx + py * dy + pz * dz;
  if (b >= 0) return false;
  const radius = ball.radius + hull.radius;
  const dd = dx * dx + dy * dy + dz * dz;
  const c = px * px + py * py + pz * pz - radius * radius;
  const h = b * b - dd * c;
  if (h < 0) return false;
  const t = c <= 0 ? 0 : (-b - Math.sqrt(h)) / dd;
  if (t > out.t || (t === out.t && top <= out.top)) return false;
  away.x = px + dx * t;
  away.y = py + dy * t;
  away.z = pz + dz * t;
  return setTouch(t, top, ball, out);
}

/** Has `out` tell of a touch along `away`, if the displacement closes on what is touched. */
function setTouch(t: number, top: number, { dx, dy, dz }: MovingBall, out: Touch): boolean {
  const { x: nx, y: ny, z: nz } = away;
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
