import {
  clearance,
  clearanceSwept,
  newClearance,
  newMovingBall,
  newTouch,
  sweep,
  sweepSwept,
  type SweptBody,
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
  newQueryBox,
  poseMover,
  type Capsule,
  fitsRestFrame,
  type InflatedShapes,
  type World,
} from '../world';
import { type RunState, SKIN } from '../state';
import { isFreeOfLoose, outsideCurrentBounds } from './currentBounds';
import { isDisabled } from './presence';

/** What moves a collider at the state's tick; one that stays has a still pose. */
export const poseOf = (world: World, s: RunState, c: Collider): { pose: Pose; before: Pose } =>
  c.mover < 0 ? REST : poseMover(world.movers, s, c.mover);
const REST = { pose: STILL, before: STILL };

/** A capsule's straight way within a tick; one is filled anew for each cast, so that casting makes no garbage. */
export interface CapsulePath {
  body: Capsule;
  /** Its lowest point at the start, m. */
  x: number;
  y: number;
  z: number;
  /** Displacement, m. */
  dx: number;
  dy: number;
  dz: number;
  /** A collider, and a piece, to leave out; or -1. */
  skip: number;
  own: number;
  /** The collider most likely to be touched, or -1: what is touched later is then soon seen to be. */
  first: number;
}

export const newCapsulePath = (): CapsulePath => ({
  body: { index: -1, radius: 0, half: 0 },
  x: 0,
  y: 0,
  z: 0,
  dx: 0,
  dy: 0,
  dz: 0,
  skip: -1,
  own: -1,
  first: -1,
});

const ofRunner = newCapsulePath();

/**
 * The runner's way from where it is by a displacement, m; reused.
 * @param world the course made ready
 * @param s the run’s state
 * @param dx displacement along x, m
 * @param dy displacement along y, m
 * @param dz displacement along z, m
 * @param skip a collider to leave out, or -1
 */
export function runnerPath(
  world: World,
  s: RunState,
  dx: number,
  dy: number,
  dz: number,
  skip = -1,
): CapsulePath {
  ofRunner.body = world.bodies[s.size];
  ofRunner.x = s.x;
  ofRunner.y = s.y;
  ofRunner.z = s.z;
  ofRunner.dx = dx;
  ofRunner.dy = dy;
  ofRunner.dz = dz;
  ofRunner.skip = skip;
  ofRunner.first = s.ground;
  return ofRunner;
}

const swept = newQueryBox();

/** Sets `swept` to the box about a capsule's way. */
function sweepBox({ x, y, z, dx, dy, dz, body }: CapsulePath): void {
  const { radius, half } = body;
  swept.x0 = (dx < 0 ? x + dx : x) - radius;
  swept.x1 = (dx < 0 ? x : x + dx) + radius;
  swept.y0 = dy < 0 ? y + dy : y;
  swept.y1 = (dy < 0 ? y : y + dy) + 2 * (radius + half);
  swept.z0 = (dz < 0 ? z + dz : z) - radius;
  swept.z1 = (dz < 0 ? z : z + dz) + radius;
}

/**
 * Moves a capsule along its way and finds the first solid it touches.
 * @param world the course made ready
 * @param s the run’s state
 * @param path the way, in the world
 * @param out holds the first touch, if there is one
 * @returns whether anything is touched; `out` then holds the first touch
 */
export function castCapsule(world: World, s: RunState, path: CapsulePath, out: Contact): boolean {
  const { skip, own, first } = path;
  sweepBox(path);
  const { solids } = world.broadPhase.query(swept);
  out.t = 1;
  out.top = -1;
  out.collider = -1;
  if (first >= 0 && first !== skip) castAgainstSolid(world, s, path, world.colliders[first], out);
  const { list, boxes } = solids;
  const isFree = isFreeOfLoose(world, s, swept);
  // What is only rested on lies a skin away and cannot be touched: the room about the boxes is for others.
  const [lowX, lowY, lowZ] = [swept.x1 - ROOM, swept.y1 - ROOM, swept.z1 - ROOM];
  const [highX, highY, highZ] = [swept.x0 + ROOM, swept.y0 + ROOM, swept.z0 + ROOM];
  for (let i = 0, b = 0; i < list.length; i++, b += 6) {
    if (lowX < boxes[b] || highX > boxes[b + 3]) continue;
    if (lowY < boxes[b + 1] || highY > boxes[b + 4]) continue;
    if (lowZ < boxes[b + 2] || highZ > boxes[b + 5]) continue;
    const c = list[i];
    if (c.index === skip || c.index === first || c.piece === own) continue;
    if (c.isDynamic && (isFree || outsideCurrentBounds(world, s, c, swept))) continue;
    castAgainstSolid(world, s, path, c, out);
  }
  return out.collider >= 0;
}

/**
 * Moves a capsule along its way, asking one solid alone.
 * @param world the course made ready
 * @param s the run’s state
 * @param path the way, in the world
 * @param collider index of the solid
 * @param out holds the touch, if there is one
 * @returns whether it is there and touched
 */
export function castAgainstOne(
  world: World,
  s: RunState,
  path: CapsulePath,
  collider: number,
  out: Contact,
): boolean {
  out.t = 1;
  out.top = -1;
  out.collider = -1;
  castAgainstSolid(world, s, path, world.colliders[collider], out);
  return out.collider >= 0;
}

/** Has `out` tell of a solid, if it is there and is touched before what it tells of. */
function castAgainstSolid(
  world: World,
  s: RunState,
  path: CapsulePath,
  c: Collider,
  out: Contact,
): void {
  if (isDisabled(world, s, c)) return;
  const touched = c.oneWay
    ? castAgainstOneWay(world, s, path, c, out)
    : castAgainst(world, s, path, c, out);
  if (touched) out.collider = c.index;
}

/** The room about a collider's box that a sweep has no use for, m. */
const ROOM = BROADPHASE_MARGIN - SKIN / 2;

/** A capsule as a ball, in the frame of what it is swept or measured against. */
const ball = newMovingBall();

/**
 * Casts a capsule against one collider as it stands at the state's tick.
 * @param world the course made ready
 * @param s the run’s state
 * @param path the way, in the world
 * @param c what it is cast against
 * @param out the nearest touch so far; replaced only by a nearer one
 */
export function castAgainst(
  world: World,
  s: RunState,
  path: CapsulePath,
  c: Collider,
  out: Touch,
): boolean {
  const { body, dx, dy, dz } = path;
  ball.x = path.x;
  ball.y = path.y + centreHeight(body);
  ball.z = path.z;
  ball.dx = dx;
  ball.dy = dy;
  ball.dz = dz;
  ball.radius = body.radius;
  // An upright capsule meets the flat faces that stand for a curve; what rolls meets the curve itself.
  const curved = body.half === 0 ? c.bodies.swept() : null;
  if (c.mover < 0) {
    return curved ? sweepSwept(curved, ball, out) : sweep(c.bodies.rest(body), ball, out);
  }
  const { pose } = poseMover(world.movers, s, c.mover);
  // Most of what moves is elsewhere on its way; and a body in its pose is only made where it may be met.
  const far = c.bodies.away(pose, ball.x, ball.y, ball.z) - body.radius - body.half;
  if (far > 0 && far * far > dx * dx + dy * dy + dz * dz) return false;
  if (!curved && !fitsRestFrame(pose, body)) return sweep(c.bodies.at(pose, body), ball, out);
  const turned = toRestFrame(pose);
  if (turned) {
    const m = pose.turn;
    ball.dx = m[0] * dx + m[3] * dy + m[6] * dz;
    ball.dy = m[1] * dx + m[4] * dy + m[7] * dz;
    ball.dz = m[2] * dx + m[5] * dy + m[8] * dz;
  }
  if (!(curved ? sweepGrown(curved, pose.size, out) : sweep(c.bodies.rest(body), ball, out))) {
    return false;
  }
  if (turned) turnBack(pose.turn, out);
  return true;
}

/** Sweeps the ball against a curve that is as large as a pose makes it: seen from it, the ball is as much smaller. */
function sweepGrown(curved: SweptBody, size: number, out: Touch): boolean {
  shrinkBall(size);
  return sweepSwept(curved, ball, out);
}

function shrinkBall(size: number): void {
  if (size === 1) return;
  ball.x /= size;
  ball.y /= size;
  ball.z /= size;
  ball.dx /= size;
  ball.dy /= size;
  ball.dz /= size;
  ball.radius /= size;
}

/** Has the ball's middle be seen from the frame that goes with a pose. Returns whether that is turned. */
function toRestFrame({ turn: m, shift }: Pose): boolean {
  const [ox, oy, oz] = [ball.x - shift[0], ball.y - shift[1], ball.z - shift[2]];
  const turned = m !== NO_TURN;
  ball.x = turned ? m[0] * ox + m[3] * oy + m[6] * oz : ox;
  ball.y = turned ? m[1] * ox + m[4] * oy + m[7] * oz : oy;
  ball.z = turned ? m[2] * ox + m[5] * oy + m[8] * oz : oz;
  return turned;
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

/**
 * Whether a body stands before a one-way face, so that the face may stop it; with a pose of its piece.
 * @param body the body that comes
 * @param x of its lowest point, in the world, m
 * @param y of the place, m
 * @param z of the place, m
 */
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
  path: CapsulePath,
  c: Collider,
  out: Contact,
): boolean {
  if (s.drop === c.piece && s.tick - s.dropTick < DROP_TICKS) return false;
  const { pose } = poseOf(world, s, c);
  const n = pose.turn === NO_TURN ? c.oneWay!.normal : rotate(pose.turn, c.oneWay!.normal);
  if (n[0] * path.dx + n[1] * path.dy + n[2] * path.dz >= 0) return false;
  if (!isBefore(c, path.body, pose, path.x, path.y, path.z)) return false;
  passing.t = out.t;
  passing.top = out.top;
  if (!castAgainst(world, s, path, c, passing)) return false;
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

/**
 * Signed distance from a capsule to a collider at the state's tick, if it is not far; the result is reused.
 * @param world the course made ready
 * @param s the run’s state
 * @param body the body it is measured from
 * @param c the collider
 * @param at its lowest point, m
 */
export const signedDistance = (
  world: World,
  s: RunState,
  body: Capsule,
  c: Collider,
  at: Readonly<Record<'x' | 'y' | 'z', number>>,
): Clearance =>
  gapTo(c.bodies, c.mover < 0 ? null : poseMover(world.movers, s, c.mover).pose, body, at, FAR);

/**
 * Signed distance from a capsule to a form; the result is reused.
 * @param bodies the form
 * @param pose that it is in, or null at rest
 * @param body the body it is measured from
 * @param at its lowest point, m
 * @param far distances beyond this, m, are only told to be at least so
 */
export function gapTo(
  bodies: InflatedShapes,
  pose: Pose | null,
  body: Capsule,
  at: Readonly<Record<'x' | 'y' | 'z', number>>,
  far = Infinity,
): Clearance {
  ball.x = at.x;
  ball.y = at.y + centreHeight(body);
  ball.z = at.z;
  ball.radius = body.radius;
  const curved = body.half === 0 ? bodies.swept() : null;
  if (!pose) {
    return curved
      ? clearanceSwept(curved, ball, scratch, far)
      : clearance(bodies.rest(body), ball, scratch, far);
  }
  const away = bodies.away(pose, ball.x, ball.y, ball.z) - body.radius - body.half;
  if (away > far) {
    scratch.distance = away;
    return scratch;
  }
  if (!curved && !fitsRestFrame(pose, body)) {
    return clearance(bodies.at(pose, body), ball, scratch, far);
  }
  const turned = toRestFrame(pose);
  if (curved) {
    shrinkBall(pose.size);
    clearanceSwept(curved, ball, scratch, far / pose.size);
    scratch.distance *= pose.size;
  } else clearance(bodies.rest(body), ball, scratch, far);
  if (turned) turnBack(pose.turn, scratch);
  return scratch;
}
