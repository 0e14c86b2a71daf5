import type { Vec3 } from '../../geometry';
import { centreHeight, carriedAlong, type Contact, DT, poseMover, type World } from '../world';
import { FieldIndex, type RunState } from '../state';

// The one law of impact between a runner and whatever it meets, whichever of the two closed the gap: relative to the
// speed of the surface where they touch, with the bounce and the friction of the pair. Resting in touch is what is
// left of it where the surface is closed on slower than anything bounces.

/** Impacts slower than this do not bounce, m/s. */
export const LEAST_BOUNCE = 0.9;

/** Where a body touches, for the question in hand; reused. */
const at = { x: 0, y: 0, z: 0 };
const surface = new Float64Array(3);
const frame = new Float64Array(3);

/**
 * The speed of a collider at a place that goes along with it, m/s.
 * @param world the course made ready
 * @param s the run’s state
 * @param collider its place in World.colliders, or -1 for the world, which stands
 * @param p the place as it is at the state's tick, m
 * @param out is written to, and returned
 */
export function velocityAt(
  world: World,
  s: RunState,
  collider: number,
  p: Readonly<Record<'x' | 'y' | 'z', number>>,
  out: Float64Array,
): Float64Array {
  out[0] = 0;
  out[1] = 0;
  out[2] = 0;
  if (collider < 0) return out;
  const { mover } = world.colliders[collider];
  if (mover < 0) return out;
  const { pose, before } = poseMover(world.movers, s, mover);
  if (pose === before) return out;
  // Where it was a tick ago.
  const then = carriedAlong({ before: pose, pose: before }, p.x, p.y, p.z);
  out[0] = (p.x - then[0]) / DT;
  out[1] = (p.y - then[1]) / DT;
  out[2] = world.lane === null ? (p.z - then[2]) / DT : 0;
  return out;
}

/** The speed of a collider where the runner's foot is, m/s; reused. */
export const speedOf = (world: World, s: RunState, collider: number): Float64Array =>
  velocityAt(world, s, collider, s, frame);

/** The place of the runner's body that a surface with this normal touches, m; reused. */
function touchedAt(world: World, s: RunState, nx: number, ny: number, nz: number): typeof at {
  const { radius, half } = world.bodies[s.size];
  at.x = s.x - nx * radius;
  at.y = s.y + centreHeight(world.bodies[s.size]) - ny * radius;
  at.z = s.z - nz * radius;
  if (ny > FLAT) at.y -= half;
  else if (ny < -FLAT) at.y += half;
  return at;
}

/**
 * The speed of a collider where a surface of it touches the runner, m/s; reused.
 * @param world the course made ready
 * @param s the run’s state
 * @param collider its place in World.colliders
 * @param normal of the surface, pointing at the runner
 */
export const velocityOf = (
  world: World,
  s: RunState,
  collider: number,
  [nx, ny, nz]: Vec3,
): Float64Array => velocityAt(world, s, collider, touchedAt(world, s, nx, ny, nz), surface);

/** Upward part of a normal from which a capsule is touched at one of its ends. */
const FLAT = 0.3;

/** Whether two colliders go along with the same mover. */
const goTogether = ({ colliders }: World, a: number, b: number): boolean =>
  a >= 0 && colliders[a].mover === colliders[b].mover;

/**
 * The speed of the surface that was met as seen from what the runner's own speed is told relative to, m/s; reused.
 * @param world the course made ready
 * @param s the run’s state
 * @param touched what was met, its normal pointing at the runner
 * @param from the collider that the runner's speed is relative to, or -1 for the world
 */
export function surfaceSpeed(
  world: World,
  s: RunState,
  { collider, nx, ny, nz }: Contact,
  from: number,
): Float64Array {
  if (goTogether(world, from, collider)) {
    surface[0] = surface[1] = surface[2] = 0;
    return surface;
  }
  velocityAt(world, s, collider, touchedAt(world, s, nx, ny, nz), surface);
  if (from >= 0) {
    const own = speedOf(world, s, from);
    for (let axis = 0; axis < 3; axis++) surface[axis] -= own[axis];
  }
  return surface;
}

/** What a pair gives back of an impact, 0 to 1, and holds along it as a part of what presses it together. */
export interface Pair {
  bounce: number;
  friction: number;
}

const pair: Pair = { bounce: 0, friction: 0 };

/**
 * The pair of a runner and what it met: a piece that says its bounce gives it to whatever comes, else the runner's own
 * counts; the runner's friction counts by the grip of the piece. Reused.
 * @param world the course made ready
 * @param touched what was met
 * @param bounce of the runner
 * @param friction of the runner
 */
export function pairOf(
  world: World,
  { collider }: Contact,
  bounce: number,
  friction: number,
): Readonly<Pair> {
  const { surface } = world.colliders[collider];
  pair.bounce = surface?.bounce ?? bounce;
  pair.friction = friction * (surface?.grip ?? 1);
  return pair;
}

/** What came of an impact, m/s: reused. */
export interface Impact {
  /** How fast the surface was closed on, or 0. */
  closing: number;
  /** What the runner got along the normal. */
  given: number;
}

const result: Impact = { closing: 0, given: 0 };

/**
 * Has the runner meet a surface: its speed changes along the normal by what the bounce of the pair gives, and along the
 * surface by what their friction holds, never past the surface's own speed. What is loose takes its part of it by the
 * masses of both, and is pushed. Nothing comes of a surface that is not closed on.
 * @param world the course made ready
 * @param s the run’s state, whose speed it changes
 * @param touched what was met, its normal pointing at the runner
 * @param pair of the runner and the surface
 * @param from the collider that the runner's speed is relative to, or -1 for the world
 * @returns what came of it; reused
 */
export function meetSurface(
  world: World,
  s: RunState,
  touched: Contact,
  { bounce, friction }: Pair,
  from: number,
): Impact {
  const { nx, ny, nz } = touched;
  const w = surfaceSpeed(world, s, touched, from);
  // Taken one by one: what a tick asks many times must not go through an iterator.
  const wx = w[0];
  const wy = w[1];
  const wz = w[2];
  const into = (s.vx - wx) * nx + (s.vy - wy) * ny + (s.vz - wz) * nz;
  result.closing = 0;
  result.given = 0;
  if (into >= 0) return result;
  const back = -into > LEAST_BOUNCE ? bounce : 0;
  const given = impulseOfLoose(world, s, touched, back, from) ?? -(1 + back) * into;
  s.vx += given * nx;
  s.vy += given * ny;
  s.vz += given * nz;
  const hold = friction * given;
  if (hold > 0) {
    const off = (s.vx - wx) * nx + (s.vy - wy) * ny + (s.vz - wz) * nz;
    const tx = s.vx - wx - off * nx;
    const ty = s.vy - wy - off * ny;
    const tz = s.vz - wz - off * nz;
    const slip = Math.sqrt(tx * tx + ty * ty + tz * tz);
    const part = slip <= hold ? 1 : hold / slip;
    s.vx -= part * tx;
    s.vy -= part * ty;
    s.vz -= part * tz;
  }
  result.closing = -into;
  result.given = given;
  return result;
}

/**
 * What the runner gets along the normal from something loose that it meets, m/s, by the masses of both; the loose is
 * pushed. Null for what is not loose.
 * @param world the course made ready
 * @param s the run’s state
 * @param touched what was met, its normal pointing at the runner
 * @param bounce what is left of the speed of the impact, 0 to 1
 * @param from the collider that the runner's speed is relative to, or -1 for the world
 */
export function impulseOfLoose(
  world: World,
  s: RunState,
  touched: Contact,
  bounce: number,
  from: number,
): number | null {
  const { mover } = world.colliders[touched.collider];
  if (!s.bodies || mover < 0 || !world.movers[mover].loose) return null;
  const v = [s.vx, s.vy, s.vz];
  if (from >= 0) {
    const carried = speedOf(world, s, from);
    for (let axis = 0; axis < 3; axis++) v[axis] += carried[axis];
  }
  return s.bodies.meet(world, s, touched, v, bounce);
}

/** Least part of its normal against gravity that what moves has to have to carry what is on it. */
const CARRIES = 0.5;

/** Whether what was met may carry what rolls on it: what stands does, what moves only from below. */
export function carries(
  world: World,
  { field }: RunState,
  { collider, nx, ny, nz }: Contact,
): boolean {
  if (world.colliders[collider].mover < 0) return true;
  const x = field[FieldIndex.gravityX];
  const y = field[FieldIndex.gravityY];
  const z = field[FieldIndex.gravityZ];
  return -nx * x - ny * y - nz * z >= CARRIES * Math.sqrt(x * x + y * y + z * z);
}

/**
 * Tells a runner's speed, given relative to one collider, relative to another.
 * @param world the course made ready
 * @param s the run’s state, whose speed it changes
 * @param from the one it was relative to, or -1 for the world
 * @param to the other, or -1
 */
export function seenFrom(world: World, s: RunState, from: number, to: number): void {
  if (from === to) return;
  addSpeedOf(world, s, from, 1);
  addSpeedOf(world, s, to, -1);
}

function addSpeedOf(world: World, s: RunState, collider: number, sign: 1 | -1): void {
  if (collider < 0 || world.colliders[collider].mover < 0) return;
  const v = speedOf(world, s, collider);
  s.vx += sign * v[0];
  s.vy += sign * v[1];
  s.vz += sign * v[2];
}
