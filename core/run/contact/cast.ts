import {
  clearance,
  newClearance,
  newTouch,
  sweep,
  type Clearance,
  type Touch,
} from '../../collision';
import { NO_TURN, rotate, type Matrix3 } from '../../geometry';
import { STILL, type Pose } from '../../motion';
import {
  type Collider,
  type Contact,
  centreHeight,
  BROADPHASE_MARGIN,
  poseMover,
  type Capsule,
  fitsRestFrame,
  type World,
} from '../world';
import { type RunState, SKIN } from '../state';
import { isDisabled } from './presence';
import { queryBox } from './near';

/** What moves a collider at the state's tick; one that stays has a still pose. */
export const poseOf = (world: World, s: RunState, c: Collider): { pose: Pose; before: Pose } =>
  c.mover < 0 ? REST : poseMover(world.movers, s, c.mover);
const REST = { pose: STILL, before: STILL };

/**
 * Moves the runner's body from a foot place by a displacement and finds the first solid it touches.
 * @param skip a collider to leave out, or -1
 * @returns whether anything is touched; `out` then holds the first touch
 */
export const castRunner = (
  world: World,
  s: RunState,
  x: number,
  y: number,
  z: number,
  dx: number,
  dy: number,
  dz: number,
  out: Contact,
  skip = -1,
): boolean =>
  castCapsule(world, s, world.bodies[s.size], x, y, z, dx, dy, dz, out, skip, -1, s.ground);

/**
 * Moves any rounded body and finds the first solid it touches.
 * @param skip a collider, and `own` a piece, to leave out; or -1
 * @param first the collider most likely to be touched, or -1: what is touched later is then soon seen to be
 */
export function castCapsule(
  world: World,
  s: RunState,
  body: Capsule,
  x: number,
  y: number,
  z: number,
  dx: number,
  dy: number,
  dz: number,
  out: Contact,
  skip: number,
  own: number,
  first: number,
): boolean {
  const { radius, half } = body;
  const x0 = (dx < 0 ? x + dx : x) - radius;
  const x1 = (dx < 0 ? x : x + dx) + radius;
  const y0 = dy < 0 ? y + dy : y;
  const y1 = (dy < 0 ? y : y + dy) + 2 * (radius + half);
  const z0 = (dz < 0 ? z + dz : z) - radius;
  const z1 = (dz < 0 ? z : z + dz) + radius;
  const { solids } = queryBox(world, x0, y0, z0, x1, y1, z1);
  out.t = 1;
  out.top = -1;
  out.collider = -1;
  if (first >= 0 && first !== skip) {
    castAgainstSolid(world, s, body, world.colliders[first], x, y, z, dx, dy, dz, out);
  }
  const { list, boxes } = solids;
  // What is only rested on lies a skin away and cannot be touched: the room about the boxes is for others.
  const [lowX, lowY, lowZ] = [x1 - ROOM, y1 - ROOM, z1 - ROOM];
  const [highX, highY, highZ] = [x0 + ROOM, y0 + ROOM, z0 + ROOM];
  for (let i = 0, b = 0; i < list.length; i++, b += 6) {
    if (lowX < boxes[b] || highX > boxes[b + 3]) continue;
    if (lowY < boxes[b + 1] || highY > boxes[b + 4]) continue;
    if (lowZ < boxes[b + 2] || highZ > boxes[b + 5]) continue;
    const c = list[i];
    if (c.index === skip || c.index === first || c.piece === own) continue;
    if (c.isDynamic && outsideCurrentBounds(world, s, c, x0, y0, z0, x1, y1, z1)) continue;
    castAgainstSolid(world, s, body, c, x, y, z, dx, dy, dz, out);
  }
  return out.collider >= 0;
}

/** Has `out` tell of a solid, if it is there and is touched before what it tells of. */
function castAgainstSolid(
  world: World,
  s: RunState,
  body: Capsule,
  c: Collider,
  x: number,
  y: number,
  z: number,
  dx: number,
  dy: number,
  dz: number,
  out: Contact,
): void {
  if (isDisabled(world, s, c)) return;
  const touched = c.oneWay
    ? castAgainstOneWay(world, s, body, c, x, y, z, dx, dy, dz, out)
    : castAgainst(world, s, body, c, x, y, z, dx, dy, dz, out);
  if (touched) out.collider = c.index;
}

/** The room about a collider's box that a sweep has no use for, m. */
const ROOM = BROADPHASE_MARGIN - SKIN / 2;

/** Whether a collider of something loose, which may come to be anywhere, is not within a box now. */
export function outsideCurrentBounds(
  world: World,
  s: RunState,
  c: Collider,
  x0: number,
  y0: number,
  z0: number,
  x1: number,
  y1: number,
  z1: number,
): boolean {
  const box = poseMover(world.movers, s, c.mover).about!;
  if (x1 < box[0] || x0 > box[3] || y1 < box[1] || y0 > box[4]) return true;
  return z1 < box[2] || z0 > box[5];
}

/** Sweeps a body against one collider as it stands at the state's tick. */
export function castAgainst(
  world: World,
  s: RunState,
  body: Capsule,
  c: Collider,
  x: number,
  y: number,
  z: number,
  dx: number,
  dy: number,
  dz: number,
  out: Touch,
): boolean {
  const cy = y + centreHeight(body);
  const { radius } = body;
  if (c.mover < 0) return sweep(c.bodies.rest(body), x, cy, z, dx, dy, dz, radius, out);
  const { pose } = poseMover(world.movers, s, c.mover);
  // Most of what moves is elsewhere on its way; and a body in its pose is only made where it may be met.
  const far = c.bodies.away(pose, x, cy, z) - radius - body.half;
  if (far > 0 && far * far > dx * dx + dy * dy + dz * dz) return false;
  if (!fitsRestFrame(pose, body)) {
    return sweep(c.bodies.at(pose, body), x, cy, z, dx, dy, dz, radius, out);
  }
  const { turn: m, shift } = pose;
  const hull = c.bodies.rest(body);
  const [ox, oy, oz] = [x - shift[0], cy - shift[1], z - shift[2]];
  if (m === NO_TURN) return sweep(hull, ox, oy, oz, dx, dy, dz, radius, out);
  // Seen from the frame that turns with it; the normal is turned back.
  if (
    !sweep(
      hull,
      m[0] * ox + m[3] * oy + m[6] * oz,
      m[1] * ox + m[4] * oy + m[7] * oz,
      m[2] * ox + m[5] * oy + m[8] * oz,
      m[0] * dx + m[3] * dy + m[6] * dz,
      m[1] * dx + m[4] * dy + m[7] * dz,
      m[2] * dx + m[5] * dy + m[8] * dz,
      radius,
      out,
    )
  ) {
    return false;
  }
  turnBack(m, out);
  return true;
}

/** A normal found in a turned frame, in the world's. */
function turnBack(m: Matrix3, out: { nx: number; ny: number; nz: number }): void {
  const { nx, ny, nz } = out;
  out.nx = m[0] * nx + m[1] * ny + m[2] * nz;
  out.ny = m[3] * nx + m[4] * ny + m[5] * nz;
  out.nz = m[6] * nx + m[7] * ny + m[8] * nz;
}

/** How far within the plane of a one-way face a body still counts as before it, m. */
const BEFORE = 1.5 * SKIN;
/** Least part of its face's normal that a touch of a one-way face must have. */
const FACING = 0.5;
const passing = newTouch();

/** Whether a body stands before a one-way face, so that the face may stop it; with a pose of its piece. */
export function isBefore(
  { oneWay }: Collider,
  body: Capsule,
  { turn, shift }: Pose,
  x: number,
  y: number,
  z: number,
): boolean {
  const n = turn === NO_TURN ? oneWay!.normal : rotate(turn, oneWay!.normal);
  const middle =
    n[0] * (x - shift[0]) + n[1] * (y + centreHeight(body) - shift[1]) + n[2] * (z - shift[2]);
  return middle - body.radius - body.half * Math.abs(n[1]) - oneWay!.offset >= -BEFORE;
}

function castAgainstOneWay(
  world: World,
  s: RunState,
  body: Capsule,
  c: Collider,
  x: number,
  y: number,
  z: number,
  dx: number,
  dy: number,
  dz: number,
  out: Contact,
): boolean {
  if (s.drop === c.piece && s.tick - s.dropTick < DROP_TICKS) return false;
  const { pose } = poseOf(world, s, c);
  const n = pose.turn === NO_TURN ? c.oneWay!.normal : rotate(pose.turn, c.oneWay!.normal);
  if (n[0] * dx + n[1] * dy + n[2] * dz >= 0) return false;
  if (!isBefore(c, body, pose, x, y, z)) return false;
  passing.t = out.t;
  passing.top = out.top;
  if (!castAgainst(world, s, body, c, x, y, z, dx, dy, dz, passing)) return false;
  // Only its own side stops: who meets its rim from beside goes on.
  if (passing.nx * n[0] + passing.ny * n[1] + passing.nz * n[2] < FACING) return false;
  out.t = passing.t;
  out.nx = passing.nx;
  out.ny = passing.ny;
  out.nz = passing.nz;
  out.top = passing.top;
  out.edge = passing.edge;
  return true;
}

/** Ticks for which a runner that drops through a face is let through. */
export const DROP_TICKS = 36;

const scratch = newClearance();

/** Distances beyond this are only told to be at least so, m. */
const FAR = 4 * SKIN;

/** Signed distance from a body to a collider at the state's tick, if it is not far; the result is reused. */
export function signedDistance(
  world: World,
  s: RunState,
  body: Capsule,
  c: Collider,
  x: number,
  y: number,
  z: number,
): Clearance {
  const cy = y + centreHeight(body);
  if (c.mover < 0) return clearance(c.bodies.rest(body), x, cy, z, body.radius, scratch, FAR);
  const { pose } = poseMover(world.movers, s, c.mover);
  const far = c.bodies.away(pose, x, cy, z) - body.radius - body.half;
  if (far > FAR) {
    scratch.distance = far;
    return scratch;
  }
  if (!fitsRestFrame(pose, body)) {
    return clearance(c.bodies.at(pose, body), x, cy, z, body.radius, scratch, FAR);
  }
  const { turn: m, shift } = pose;
  const hull = c.bodies.rest(body);
  const [ox, oy, oz] = [x - shift[0], cy - shift[1], z - shift[2]];
  if (m === NO_TURN) return clearance(hull, ox, oy, oz, body.radius, scratch, FAR);
  clearance(
    hull,
    m[0] * ox + m[3] * oy + m[6] * oz,
    m[1] * ox + m[4] * oy + m[7] * oz,
    m[2] * ox + m[5] * oy + m[8] * oz,
    body.radius,
    scratch,
    FAR,
  );
  turnBack(m, scratch);
  return scratch;
}
