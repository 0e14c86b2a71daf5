import { DT, newContact, type World } from '../world';
import { addSegment, FieldIndex, type Trajectory, type RunState, SKIN } from '../state';
import { castCapsule, runnerPath } from '../contact';
import { moveUntilHit, exchangeMomentum, speedOf } from './move';

// How balls and wheels move: along the ground as it bends, off it where it falls away too fast, and back
// from what they run into.

const contact = newContact();
const lifted = newContact();
const facet = newContact();

/** Most surfaces a tick may go along. */
const MOST_SLIDES = 6;
/** Impacts slower than this do not bounce, m/s. */
const LEAST_BOUNCE = 0.9;
/** Least upward part of the normal of something loose that carries what is on it. */
const LEAST_UP = 0.5;
/** Ticks without a touch after which what rolls is in the air. */
export const AIR_TICKS = 5;
/**
 * Sine of the steepest edge, seen along the way, that ground made of flat faces may turn by and still be
 * gone along as the curve it stands for, without loss.
 */
const CURVE = 0.5;
/** Most upward part of the normal of what stands beside the way. */
const SIDE = 0.5;
/** How far back along a wall the facet before it is looked for, m, and the least cosine of the turn between. */
const BACK = 6;
const TURN = 0.9;

/**
 * Moves a ball by its speed for a tick, with what it runs into. On something that moves its speed is told
 * relative to that.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param bounce what is left of the speed of an impact
 * @param lip height of an edge across the way that it gets over without being thrown, m: what wheels do; 0
 * for a sphere
 * @param path is given each leg of the way made
 * @returns the greatest speed at which it met anything head on, m/s
 */
export function roll(
  world: World,
  s: RunState,
  bounce: number,
  lip: number,
  path: Trajectory,
): number {
  let rest = DT;
  forgetImpacts();
  // What the speed is relative to: a collider, or -1 for the world.
  let frame = -1;
  const rolling = s.air <= AIR_TICKS;
  if (s.ground >= 0) frame = s.ground;
  s.air++;
  for (let i = 0; i < MOST_SLIDES && rest > 1e-9; i++) {
    const made = moveUntilHit(
      world,
      s,
      runnerPath(world, s, s.vx * rest, s.vy * rest, s.vz * rest),
      contact,
    );
    // What it rolls on is looked at first; from then on it is in the air unless it touches something.
    if (i === 0) s.ground = -1;
    addSegment(path, s.x, s.y, s.z);
    if (made === 1) break;
    rest *= 1 - made;
    const { nx, ny, nz, collider } = contact;
    if (lip > 0 && rolling && contact.edge && rideOver(world, s, lip)) {
      addSegment(path, s.x, s.y, s.z);
      continue;
    }
    const [was, ground] = [frame, s.ground];
    seenFrom(world, s, frame, collider);
    frame = collider;
    s.ground = collider;
    s.air = 0;
    const into = s.vx * nx + s.vy * ny + s.vz * nz;
    if (into < 0) takeImpact(world, s, into, bounce, rolling);
    const { mover } = world.colliders[collider];
    if (mover >= 0 && world.movers[mover].loose && ny < LEAST_UP) {
      // What was run into and gives way does not carry it along.
      seenFrom(world, s, collider, was);
      frame = was;
      s.ground = ground;
      continue;
    }
    s.gx = nx;
    s.gy = ny;
    s.gz = nz;
  }
  s.vx += impacts.keptX;
  s.vy += impacts.keptY;
  s.vz += impacts.keptZ;
  if (s.ground < 0) seenFrom(world, s, frame, -1);
  s.press += (impacts.impulse / DT - s.press) * 0.2;
  return impacts.hardest;
}

/** What the impacts of one tick came to, filled anew by each `roll`: speeds in m/s. */
const impacts = { hardest: 0, impulse: 0, keptX: 0, keptY: 0, keptZ: 0 };

function forgetImpacts(): void {
  impacts.hardest = 0;
  impacts.impulse = 0;
  impacts.keptX = 0;
  impacts.keptY = 0;
  impacts.keptZ = 0;
}

/**
 * Takes away the speed into what was just met, or turns it along a bend of the ground, or throws it back.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param into the speed along the normal of the face that was met, below 0, m/s
 * @param bounce what is left of the speed of an impact
 * @param rolling whether it was on the ground before
 */
function takeImpact(
  world: World,
  s: RunState,
  into: number,
  bounce: number,
  rolling: boolean,
): void {
  const { nx, ny, nz } = contact;
  const back = -into > LEAST_BOUNCE ? bounce : 0;
  // What gives way leaves it some of its speed, for the ticks to come.
  const lost = exchangeMomentum(world, s, contact, back);
  const kept = lost === null ? 0 : Math.min(0, lost + (1 + back) * into);
  impacts.keptX += kept * nx;
  impacts.keptY += kept * ny;
  impacts.keptZ += kept * nz;
  const before = Math.sqrt(s.vx * s.vx + s.vy * s.vy + s.vz * s.vz);
  s.vx -= into * nx;
  s.vy -= into * ny;
  s.vz -= into * nz;
  impacts.impulse -= into;
  // The turn from face to face of one curve, unlike an impact, costs nothing.
  const bends = rolling && s.gx * nx + s.gy * ny + s.gz * nz > 1 - CURVE;
  const slight = -into < CURVE * before;
  if (slight && (bends || (-into > GRAVITY_SINK && isOfCurve(world, s)))) {
    const after = Math.sqrt(s.vx * s.vx + s.vy * s.vy + s.vz * s.vz);
    if (after > 1e-6 && -into > GRAVITY_SINK) {
      const k = before / after;
      s.vx *= k;
      s.vy *= k;
      s.vz *= k;
    }
  } else if (-into > LEAST_BOUNCE) {
    impacts.hardest = Math.max(impacts.hardest, -into);
    s.vx -= into * back * nx;
    s.vy -= into * back * ny;
    s.vz -= into * back * nz;
  }
  if (world.lane !== null) s.vz = 0;
}

/**
 * Whether the wall just met is a facet of a curve that the runner, by now going along it, is turned by: going
 * back along it, it would soon meet the facet before. Such a wall turns what rolls and costs nothing.
 */
function isOfCurve(world: World, s: RunState): boolean {
  const { nx, ny, nz, collider } = contact;
  if (ny >= SIDE || ny <= -SIDE) return false;
  const speed = Math.sqrt(s.vx * s.vx + s.vz * s.vz);
  if (speed < LEAST_BOUNCE) return false;
  const k = -BACK / speed;
  return (
    castCapsule(world, s, runnerPath(world, s, s.vx * k, 0, s.vz * k, collider), facet) &&
    nx * facet.nx + ny * facet.ny + nz * facet.nz > TURN
  );
}

/**
 * Lifts wheels over an edge that stands no higher across their way than a lip; they go on at the speed they
 * had. Returns whether they are over it.
 */
function rideOver(world: World, s: RunState, lip: number): boolean {
  const { gx, gy, gz, x, y, z } = s;
  const across = contact.nx * gx + contact.ny * gy + contact.nz * gz;
  const height = world.bodies[s.size].radius * (1 - across);
  if (height > lip) return false;
  const up = height + SKIN;
  if (moveUntilHit(world, s, runnerPath(world, s, gx * up, gy * up, gz * up), lifted) === 1)
    return true;
  s.x = x;
  s.y = y;
  s.z = z;
  return false;
}

/** Tells the speed, given relative to one collider, relative to another; -1 is the world. */
function seenFrom(world: World, s: RunState, from: number, to: number): void {
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

/** Speed into the ground that a tick of gravity alone gives, m/s; more than that is a bend of the ground. */
const GRAVITY_SINK = 0.25;

/** The pull of gravity along what is rolled on and into it, m/s². `out` gets x, y, z along it, and into. */
export function pull(s: RunState, out: Float64Array): Float64Array {
  const [x, y, z] = [
    s.field[FieldIndex.gravityX],
    s.field[FieldIndex.gravityY],
    s.field[FieldIndex.gravityZ],
  ];
  const into = x * s.gx + y * s.gy + z * s.gz;
  out[0] = x - into * s.gx;
  out[1] = y - into * s.gy;
  out[2] = z - into * s.gz;
  out[3] = -into;
  return out;
}

/** How hard it is pulled along, m/s². */
export const alongOf = (pulled: Float64Array): number =>
  Math.sqrt(pulled[0] * pulled[0] + pulled[1] * pulled[1] + pulled[2] * pulled[2]);

/** Gravity for a tick in the air. */
export function fall(s: RunState, fallSpeed: number): void {
  s.vx += s.field[FieldIndex.gravityX] * DT;
  s.vy = Math.max(-fallSpeed, s.vy + s.field[FieldIndex.gravityY] * DT);
  s.vz += s.field[FieldIndex.gravityZ] * DT;
}

/** Presses it on to the ground by what pulls it there, so that the next tick touches it again. */
export function settle(s: RunState, pulled: Float64Array): void {
  s.vx -= s.gx * pulled[3] * DT;
  s.vy -= s.gy * pulled[3] * DT;
  s.vz -= s.gz * pulled[3] * DT;
}

/** Slows it by so much, m/s; never past standing. */
export function slow(s: RunState, by: number): void {
  const speed = Math.sqrt(s.vx * s.vx + s.vy * s.vy + s.vz * s.vz);
  const k = speed <= by ? 0 : 1 - by / speed;
  s.vx *= k;
  s.vy *= k;
  s.vz *= k;
}
