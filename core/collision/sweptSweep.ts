import type { Ball, MovingBall } from './ball';
import type { Clearance } from './clearance';
import type { Touch } from './sweep';
import { bendOf, slopeOf, type SweptBody, valueOf } from './sweptBody';

// Balls against the true surface of a stretch: where the section lies beside the ball, which of its sides or corners
// is nearest there, and from that by Newton's method the nearest place of that side.

/**
 * What was found last: the distance from the ball's middle to the surface, below 0 within, the way out, and the
 * curvature there, 1/m.
 */
const near = { distance: 0, nx: 0, ny: 1, nz: 0, edge: false, top: 0, curvature: 0 };

/** The place that is asked about, m. */
const place = { x: 0, y: 0, z: 0 };

/** The corners' places and directions at a part of the stretch, x y z each. */
let places = new Float64Array(12);
let slopes = new Float64Array(12);

/** Steps of Newton's method at most, and the step that is none, as a part of the stretch. */
const [MOST_STEPS, NO_STEP] = [8, 1e-10];
/** Steps along the middle that tell where the section lies beside a place. */
const BESIDE = 2;

const clamp01 = (v: number): number => (v < 0 ? 0 : v > 1 ? 1 : v);

/** The part of the stretch beside which a place lies, 0 to 1. */
function besides({ corners, curves }: SweptBody, x: number, y: number, z: number): number {
  const i = 12 * corners;
  const cx = curves[i + 1] + curves[i + 2] + curves[i + 3];
  const cy = curves[i + 5] + curves[i + 6] + curves[i + 7];
  const cz = curves[i + 9] + curves[i + 10] + curves[i + 11];
  const along = cx * (x - curves[i]) + cy * (y - curves[i + 4]) + cz * (z - curves[i + 8]);
  let u = clamp01(along / (cx * cx + cy * cy + cz * cz));
  for (let step = 0; step < BESIDE; step++) {
    const dx = slopeOf(curves, i, u);
    const dy = slopeOf(curves, i + 4, u);
    const dz = slopeOf(curves, i + 8, u);
    const px = x - valueOf(curves, i, u);
    const py = y - valueOf(curves, i + 4, u);
    const pz = z - valueOf(curves, i + 8, u);
    const bend =
      px * bendOf(curves, i, u) + py * bendOf(curves, i + 4, u) + pz * bendOf(curves, i + 8, u);
    const square = dx * dx + dy * dy + dz * dz;
    // On the far side of the curve's middle there is no nearest place; the chord's will do.
    const slope = square - bend > 0.1 * square ? square - bend : square;
    u = clamp01(u + (px * dx + py * dy + pz * dz) / slope);
  }
  return u;
}

/** Finds the nearest place of the surface to a place, and sets `near` to it. */
function findNearest(body: SweptBody, x: number, y: number, z: number): void {
  const { corners, curves } = body;
  if (places.length < 3 * corners) {
    places = new Float64Array(3 * corners);
    slopes = new Float64Array(3 * corners);
  }
  place.x = x;
  place.y = y;
  place.z = z;
  const u = besides(body, x, y, z);
  for (let k = 0; k < 3 * corners; k++) {
    places[k] = valueOf(curves, 4 * k, u);
    slopes[k] = slopeOf(curves, 4 * k, u);
  }
  const isBeyond = (u === 0 || u === 1) && end(x, y, z, u) > 0;
  // Of a place within the section its nearest side, else the nearest of those it lies outside of.
  let [face, least, inside, shallowest] = [0, Infinity, 0, -Infinity];
  for (let f = 0; f < corners; f++) {
    const a = 3 * f;
    const b = f + 1 < corners ? a + 3 : 0;
    const ex = places[b] - places[a];
    const ey = places[b + 1] - places[a + 1];
    const ez = places[b + 2] - places[a + 2];
    const px = x - places[a];
    const py = y - places[a + 1];
    const pz = z - places[a + 2];
    const v = clamp01((px * ex + py * ey + pz * ez) / (ex * ex + ey * ey + ez * ez));
    const qx = px - v * ex;
    const qy = py - v * ey;
    const qz = pz - v * ez;
    // The way ahead there; beyond an end only what lies in its plane counts.
    const sx = isBeyond ? endX : slopes[a] + v * (slopes[b] - slopes[a]);
    const sy = isBeyond ? endY : slopes[a + 1] + v * (slopes[b + 1] - slopes[a + 1]);
    const sz = isBeyond ? endZ : slopes[a + 2] + v * (slopes[b + 2] - slopes[a + 2]);
    const nx = sy * ez - sz * ey;
    const ny = sz * ex - sx * ez;
    const nz = sx * ey - sy * ex;
    const out = qx * nx + qy * ny + qz * nz;
    const height = out / Math.sqrt(nx * nx + ny * ny + nz * nz);
    if (height > shallowest) {
      shallowest = height;
      inside = f;
    }
    const square = qx * qx + qy * qy + qz * qz;
    if (square < least && out > 0) {
      least = square;
      face = f;
    }
  }
  if (shallowest <= 0 && isBeyond) {
    onEnd(x, y, z, u);
    return;
  }
  const isOutside = shallowest > 0;
  nearestOnFace(body, isOutside ? face : inside, u, isOutside);
}

/** The way ahead at an end: the unit normal of the section there. */
let [endX, endY, endZ] = [0, 0, 0];

/** The distance of a place beyond the end at u 0 or 1, m; sets `endX`, `endY` and `endZ` to the way ahead there. */
function end(x: number, y: number, z: number, u: number): number {
  const ax = places[3] - places[0];
  const ay = places[4] - places[1];
  const az = places[5] - places[2];
  const bx = places[6] - places[3];
  const by = places[7] - places[4];
  const bz = places[8] - places[5];
  // Its corners go anticlockwise as seen looking ahead.
  const nx = az * by - ay * bz;
  const ny = ax * bz - az * bx;
  const nz = ay * bx - ax * by;
  const l = Math.sqrt(nx * nx + ny * ny + nz * nz);
  endX = nx / l;
  endY = ny / l;
  endZ = nz / l;
  const ahead = endX * (x - places[0]) + endY * (y - places[1]) + endZ * (z - places[2]);
  return u === 0 ? -ahead : ahead;
}

/** Sets `near` to the flat end that a place lies over. */
function onEnd(x: number, y: number, z: number, u: number): void {
  const side = u === 0 ? -1 : 1;
  near.distance = end(x, y, z, u);
  near.nx = side * endX;
  near.ny = side * endY;
  near.nz = side * endZ;
  near.curvature = 0;
  near.edge = false;
  near.top = near.ny;
}

/**
 * Sets `near` to the place of a face that is nearest to `place`.
 * @param body the stretch
 * @param face which of its sides
 * @param from part of the stretch from which it is looked for
 * @param isOutside whether the place lies outside of the stretch
 */
function nearestOnFace(
  { corners, curves }: SweptBody,
  face: number,
  from: number,
  isOutside: boolean,
): void {
  const { x, y, z } = place;
  const a = 12 * face;
  const b = face + 1 < corners ? a + 12 : 0;
  let u = from;
  for (let step = 0; ; step++) {
    const ax = valueOf(curves, a, u);
    const ay = valueOf(curves, a + 4, u);
    const az = valueOf(curves, a + 8, u);
    const ex = valueOf(curves, b, u) - ax;
    const ey = valueOf(curves, b + 4, u) - ay;
    const ez = valueOf(curves, b + 8, u) - az;
    const px = x - ax;
    const py = y - ay;
    const pz = z - az;
    const free = (px * ex + py * ey + pz * ez) / (ex * ex + ey * ey + ez * ez);
    const v = clamp01(free);
    const qx = px - v * ex;
    const qy = py - v * ey;
    const qz = pz - v * ez;
    const sx = slopeOf(curves, a, u) * (1 - v) + slopeOf(curves, b, u) * v;
    const sy = slopeOf(curves, a + 4, u) * (1 - v) + slopeOf(curves, b + 4, u) * v;
    const sz = slopeOf(curves, a + 8, u) * (1 - v) + slopeOf(curves, b + 8, u) * v;
    const square = sx * sx + sy * sy + sz * sz;
    const bx = bendOf(curves, a, u) * (1 - v) + bendOf(curves, b, u) * v;
    const by = bendOf(curves, a + 4, u) * (1 - v) + bendOf(curves, b + 4, u) * v;
    const bz = bendOf(curves, a + 8, u) * (1 - v) + bendOf(curves, b + 8, u) * v;
    const bend = qx * bx + qy * by + qz * bz;
    // Where the nearest place is free to go across, it does so as the place along changes.
    const tx = slopeOf(curves, b, u) - slopeOf(curves, a, u);
    const ty = slopeOf(curves, b + 4, u) - slopeOf(curves, a + 4, u);
    const tz = slopeOf(curves, b + 8, u) - slopeOf(curves, a + 8, u);
    const tied = qx * tx + qy * ty + qz * tz - (sx * ex + sy * ey + sz * ez);
    const loose = free === v ? (tied * tied) / (ex * ex + ey * ey + ez * ez) : 0;
    const exact = square - bend - loose;
    const slope = exact > 0.1 * square ? exact : square;
    const next = clamp01(u + (qx * sx + qy * sy + qz * sz) / slope);
    if (step < MOST_STEPS && Math.abs(next - u) > NO_STEP) {
      u = next;
      continue;
    }
    const nx = sy * ez - sz * ey;
    const ny = sz * ex - sx * ez;
    const nz = sx * ey - sy * ex;
    const l = Math.sqrt(nx * nx + ny * ny + nz * nz);
    const height = (qx * nx + qy * ny + qz * nz) / l;
    const far = Math.sqrt(qx * qx + qy * qy + qz * qz);
    near.top = ny / l;
    // Off its rim, or off an end.
    const off = isOutside && (free !== v || u === 0 || u === 1) && far - Math.abs(height) > OFF;
    near.edge = off;
    near.distance = off ? far : height;
    near.nx = off ? qx / far : nx / l;
    near.ny = off ? qy / far : ny / l;
    near.nz = off ? qz / far : nz / l;
    const along = Math.abs(near.nx * bx + near.ny * by + near.nz * bz) / square;
    const twist = Math.abs(near.nx * tx + near.ny * ty + near.nz * tz);
    const wide = Math.sqrt(ex * ex + ey * ey + ez * ez);
    near.curvature = along + twist / (Math.sqrt(square) * wide);
    return;
  }
}

/** By how much the way to the nearest place is longer than the height over its face when that lies on a rim, m. */
const OFF = 1e-9;

/** A touch is this near, m: less than any clearance that is kept. */
const TOUCH = 1e-7;
/** A displacement that closes on a surface by less than this runs along it, m. */
const CLOSING = 1e-12;
/** Steps of a sweep at most, and the least of one that began in touch, as a part of the displacement. */
const [MOST_ADVANCES, LEAST_ADVANCE] = [96, 1 / 16];

/**
 * Sweeps a ball against a stretch, by conservative advancement: from each place it goes on as far as the surface could
 * not yet be met. So nothing is passed through, and near the surface the steps are
 * those of Newton's method. (After Mirtich, Impulse-based Dynamic Simulation of Rigid Body Systems, 1996, ch. 2.3.)
 *
 * Starting clear of it gives the first touch. Starting within it gives a touch at t = 0 if the displacement goes
 * further in.
 *
 * @param body what is swept against
 * @param ball where it starts and its displacement, in the body's frame, m
 * @param out holds the nearest touch so far; it is replaced only by a nearer one
 * @returns whether `out` was replaced
 */
export function sweepSwept(body: SweptBody, ball: MovingBall, out: Touch): boolean {
  const { x, y, z, dx, dy, dz, radius } = ball;
  const way = Math.sqrt(dx * dx + dy * dy + dz * dz);
  if (way === 0) return false;
  const [mx, my, mz] = [x - body.x, y - body.y, z - body.z];
  const room = body.reach + radius + way * out.t;
  if (mx * mx + my * my + mz * mz > room * room) return false;
  let t = 0;
  for (let i = 0; i < MOST_ADVANCES; i++) {
    findNearest(body, x + dx * t, y + dy * t, z + dz * t);
    const gap = near.distance - radius;
    const pace = near.nx * dx + near.ny * dy + near.nz * dz;
    const touches = gap <= TOUCH;
    // What is all but reached after so many steps counts as reached.
    if ((touches || i === MOST_ADVANCES - 1) && pace < -CLOSING) {
      out.t = t;
      out.nx = near.nx;
      out.ny = near.ny;
      out.nz = near.nz;
      out.top = near.top > near.ny ? near.top : near.ny;
      out.edge = near.edge;
      return true;
    }
    const on = advance(gap > 0 ? gap : 0, pace, way, radius);
    t += touches && on < LEAST_ADVANCE ? LEAST_ADVANCE : on;
    if (t >= out.t) return false;
  }
  return false;
}

/**
 * How far a ball may go on that is `gap` clear of the surface last found, as a part of its displacement: not so far that
 * the surface, bent as it is there and somewhat more, could be met; nor so far that it may be bent otherwise.
 */
function advance(gap: number, pace: number, way: number, radius: number): number {
  const least = gap / way;
  const k = MORE * near.curvature;
  const room = 1 - k * radius;
  if (room <= 0) return least;
  const bend = (k * way * way) / room;
  const root = Math.sqrt(pace * pace + 2 * bend * gap);
  let far = Infinity;
  if (pace < 0) far = (2 * gap) / (root - pace);
  else if (bend > 1e-15) far = (pace + root) / bend;
  const most = ALIKE / way;
  if (far > most) far = most;
  return far > least ? far : least;
}

/** A surface may be bent this much more than where it was last found, up to this far from there, m. */
const [MORE, ALIKE] = [1.5, 0.1];

/**
 * Signed distance from a ball to a stretch, with the direction away from it.
 * @param body the stretch
 * @param ball in the stretch's frame, m
 * @param out is written to
 * @param far distances beyond this, m, need only be told to be at least so; the direction then says nothing
 */
export function clearanceSwept(
  body: SweptBody,
  ball: Readonly<Ball>,
  out: Clearance,
  far = Infinity,
): Clearance {
  const { x, y, z, radius } = ball;
  const [mx, my, mz] = [x - body.x, y - body.y, z - body.z];
  const least = Math.sqrt(mx * mx + my * my + mz * mz) - body.reach - radius;
  if (least > far) {
    out.distance = least;
    return out;
  }
  findNearest(body, x, y, z);
  out.distance = near.distance - radius;
  out.nx = near.nx;
  out.ny = near.ny;
  out.nz = near.nz;
  return out;
}
