import { DT, newContact, type World } from '../world';
import { addSegment, FieldIndex, type Trajectory, type RunState, SKIN } from '../state';
import { castAgainstOne, castCapsule, runnerPath } from '../contact';
import {
  carries,
  LEAST_BOUNCE,
  meetSurface,
  type Pair,
  pairOf,
  seenFrom,
  surfaceSpeed,
} from './impact';
import { moveUntilHit } from './move';

// How balls and wheels move: along the ground as it bends, off it where it falls away too fast, and back
// from what they run into.

const contact = newContact();
const lifted = newContact();
const facet = newContact();

/** Most surfaces a tick may go along. */
const MOST_SLIDES = 8;
/** Ticks without ground after which what rolls is in the air. */
export const AIR_TICKS = 5;
/**
 * Sine of the steepest edge, seen along the way, that ground made of flat faces may turn by and still be
 * gone along as the curve it stands for, without loss.
 */
const CURVE = 0.5;
/** Least cosine between the ground and what is met from it that is ground too, and not a wall beside it. */
const GOES_ON = 0.4;
/** Most upward part of the normal of what stands beside the way. */
const SIDE = 0.5;
/** How far back along a wall the facet before it is looked for, m, and the least cosine of the turn between. */
const BACK = 6;
const TURN = 0.9;
/** How near ground that is closed on has to be at the end of a tick to be touched, m. */
const NEAR = 3 * SKIN;
/** A surface that is closed on slower than this is gone along, m/s. */
const CLOSING = 1e-7;

/** What there is to a runner that rolls or slides, but for what drives it. */
export interface Rolls extends Pair {
  /** Height of an edge across the way that it gets over without being thrown, m: what wheels do; 0 for a sphere. */
  lip: number;
  /** Greatest falling speed, m/s. */
  fallSpeed: number;
}

/** What came of one tick of rolling, filled anew by each `roll`. */
const rolled = {
  /** The greatest speed at which anything was met head on, m/s. */
  hardest: 0,
  /** The normal of a wall that was run against, or none where all are 0. */
  wallX: 0,
  wallY: 0,
  wallZ: 0,
};
export type Rolled = Readonly<typeof rolled>;

/** What passes between the slides of one tick. */
const now = {
  /** What the speed is relative to: a collider, or -1 for the world. */
  frame: -1,
  /** The collider that bore it last, or -1. */
  under: -1,
  /** Whether it was on the ground of late. */
  rolling: false,
  /** Whether ground was met within the tick. */
  touched: false,
  /** Gravity's acceleration that is not felt along the ground, m/s². */
  ax: 0,
  ay: 0,
  az: 0,
  /** What of its speed came of that since the ground was last touched, m/s. */
  fallenX: 0,
  fallenY: 0,
  fallenZ: 0,
  /** Speed that ground took along its normal, m/s, and what loose things leave for the ticks to come. */
  turned: 0,
  keptX: 0,
  keptY: 0,
  keptZ: 0,
};

/**
 * Moves a ball by its speed for a tick, with what it runs into. On something that moves its speed is told
 * relative to that. Gravity is felt here where nothing bears it: along the ground it is the runner's own affair.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param rolls how it bounces, slides along walls and gets over edges
 * @param path is given each leg of the way made
 * @returns what came of it; reused
 */
export function roll(world: World, s: RunState, rolls: Rolls, path: Trajectory): Rolled {
  begin(s);
  let rest = DT;
  for (let i = 0; i < MOST_SLIDES && rest > 1e-9; i++) {
    // Ground that was met bears the rest of what presses on it.
    const mean = now.touched ? 0 : 0.5 * rest;
    const dx = (s.vx + mean * now.ax) * rest;
    const dy = (s.vy + mean * now.ay) * rest;
    const dz = (s.vz + mean * now.az) * rest;
    const made = moveUntilHit(world, s, runnerPath(world, s, dx, dy, dz), contact);
    addSegment(path, s.x, s.y, s.z);
    fall(s, rest * made);
    if (made === 1) {
      rest = 0;
      break;
    }
    if (rolls.lip > 0 && now.rolling && contact.edge && rideOver(world, s, rolls.lip)) {
      addSegment(path, s.x, s.y, s.z);
      rest *= 1 - made;
      continue;
    }
    const { t, nx, ny, nz } = contact;
    if (meet(world, s, rolls)) {
      // Along ground the skin is kept over where it is met, not before.
      s.x += dx * (t - made) + SKIN * nx;
      s.y += dy * (t - made) + SKIN * ny;
      s.z += dz * (t - made) + SKIN * nz;
      rest *= 1 - t;
    } else rest *= 1 - made;
  }
  fall(s, rest);
  touchDown(world, s, rolls, path);
  s.vx += now.keptX;
  s.vy += now.keptY;
  s.vz += now.keptZ;
  if (world.lane !== null) s.vz = 0;
  if (s.ground < 0 && s.vy < -rolls.fallSpeed) s.vy = -rolls.fallSpeed;
  return rolled;
}

/** Makes ready for a tick: what gravity does on the ground is only to press, or to draw off it. */
function begin(s: RunState): void {
  rolled.hardest = 0;
  rolled.wallX = rolled.wallY = rolled.wallZ = 0;
  now.frame = s.ground;
  now.under = s.ground;
  now.rolling = s.air <= AIR_TICKS;
  now.fallenX = now.fallenY = now.fallenZ = 0;
  now.touched = false;
  now.turned = 0;
  now.keptX = now.keptY = now.keptZ = 0;
  now.ax = s.field[FieldIndex.gravityX];
  now.ay = s.field[FieldIndex.gravityY];
  now.az = s.field[FieldIndex.gravityZ];
  if (s.ground < 0) return;
  press(s);
  // What drives it into the ground is borne by that.
  const into = s.vx * s.gx + s.vy * s.gy + s.vz * s.gz;
  if (into < 0) {
    s.vx -= into * s.gx;
    s.vy -= into * s.gy;
    s.vz -= into * s.gz;
  }
}

/** Has gravity be felt only along the normal of the ground. */
function press(s: RunState): void {
  const { field, gx, gy, gz } = s;
  const along =
    field[FieldIndex.gravityX] * gx +
    field[FieldIndex.gravityY] * gy +
    field[FieldIndex.gravityZ] * gz;
  now.ax = along * gx;
  now.ay = along * gy;
  now.az = along * gz;
}

/** Gravity's part for so many seconds. */
function fall(s: RunState, seconds: number): void {
  const x = now.ax * seconds;
  const y = now.ay * seconds;
  const z = now.az * seconds;
  s.vx += x;
  s.vy += y;
  s.vz += z;
  now.fallenX += x;
  now.fallenY += y;
  now.fallenZ += z;
}

/** Acts on what was just met: the ground goes on, a wall is run against. Returns whether it is ground that bends. */
function meet(world: World, s: RunState, rolls: Rolls): boolean {
  const { nx, ny, nz } = contact;
  // What moves and does not carry is run into, and so is what stands beside the ground.
  const isBeside = now.rolling && s.gx * nx + s.gy * ny + s.gz * nz < GOES_ON;
  if (!isBeside && carries(world, s, contact)) {
    const bends = followBend(world, s);
    if (bends || !bouncesOff(world, s, rolls)) noteGround(s);
    return bends;
  }
  rolled.wallX = nx;
  rolled.wallY = ny;
  rolled.wallZ = nz;
  if (isBeside && turnAlong(world, s)) return false;
  const pair = pairOf(world, contact, rolls.bounce, rolls.friction);
  const { closing, given } = meetSurface(world, s, contact, pair, now.frame);
  rolled.hardest = Math.max(rolled.hardest, closing);
  if (given < closing) keep(s, given - closing);
  return false;
}

/** What gives way leaves it some of its speed into it, for the ticks to come. */
function keep(s: RunState, into: number): void {
  const { nx, ny, nz } = contact;
  s.vx -= into * nx;
  s.vy -= into * ny;
  s.vz -= into * nz;
  now.keptX += into * nx;
  now.keptY += into * ny;
  now.keptZ += into * nz;
}

/** From here on what was just met is the ground. */
function noteGround(s: RunState): void {
  now.under = contact.collider;
  s.gx = contact.nx;
  s.gy = contact.ny;
  s.gz = contact.nz;
  now.fallenX = now.fallenY = now.fallenZ = 0;
  now.touched = true;
  press(s);
}

/**
 * Goes on along ground that bends, at the pace it had: flat faces then stand for the curve they were made from, and a
 * curve costs nothing. Returns whether it is a bend, and not an impact.
 */
function followBend(world: World, s: RunState): boolean {
  const { nx, ny, nz } = contact;
  const across = s.gx * nx + s.gy * ny + s.gz * nz;
  if (across <= 1 - CURVE) return false;
  const w = surfaceSpeed(world, s, contact, now.frame);
  const wx = w[0];
  const wy = w[1];
  const wz = w[2];
  // Its speed along the way, without what it fell since it last touched the ground.
  const x = s.vx - wx - now.fallenX;
  const y = s.vy - wy - now.fallenY;
  const z = s.vz - wz - now.fallenZ;
  const into = x * nx + y * ny + z * nz;
  const square = x * x + y * y + z * z;
  if (into < 0 && into * into > CURVE * CURVE * square) return false;
  if (!now.rolling && !keepsTo(s, square)) return false;
  const left = Math.sqrt(Math.max(0, square - into * into));
  const k = left > 1e-9 ? Math.sqrt(square) / left : 1;
  s.vx = (x - into * nx) * k + wx;
  s.vy = (y - into * ny) * k + wy;
  s.vz = (z - into * nz) * k + wz;
  now.turned -= into;
  return true;
}

/**
 * Whether a curve that leads from the ground touched last to the face just met would have been kept to all the way: it
 * turns what rolls more quickly than gravity draws it off. The faces of a coarse model of a curve are left between.
 */
function keepsTo(s: RunState, square: number): boolean {
  const { nx, ny, nz } = contact;
  const { field } = s;
  if (s.air > MOST_BETWEEN) return false;
  const off =
    field[FieldIndex.gravityX] * nx +
    field[FieldIndex.gravityY] * ny +
    field[FieldIndex.gravityZ] * nz;
  const dx = nx - s.gx;
  const dy = ny - s.gy;
  const dz = nz - s.gz;
  const drawn = off * s.air * DT;
  return drawn > 0 && square * (dx * dx + dy * dy + dz * dz) >= drawn * drawn;
}

/** Ticks at most between the faces of one curve. */
const MOST_BETWEEN = 60;

/** Turns along a wall that is a facet of a curve, at the pace it had. Returns whether it is one. */
function turnAlong(world: World, s: RunState): boolean {
  const { nx, ny, nz } = contact;
  const w = surfaceSpeed(world, s, contact, now.frame);
  const wx = w[0];
  const wy = w[1];
  const wz = w[2];
  const into = (s.vx - wx) * nx + (s.vy - wy) * ny + (s.vz - wz) * nz;
  const [x, y, z] = [s.vx - wx, s.vy - wy, s.vz - wz];
  const before = Math.sqrt(x * x + y * y + z * z);
  if (into >= 0 || -into >= CURVE * before || !isOfCurve(world, s, into)) return false;
  const left = Math.sqrt(Math.max(0, before * before - into * into));
  const k = left > 1e-6 ? before / left : 1;
  s.vx = (s.vx - wx - into * nx) * k + wx;
  s.vy = (s.vy - wy - into * ny) * k + wy;
  s.vz = (s.vz - wz - into * nz) * k + wz;
  return true;
}

/**
 * At the end of a tick: ground that is near and closed on is stood on. The runner comes to lie a skin over it, and its
 * speed is told relative to it.
 */
function touchDown(world: World, s: RunState, rolls: Rolls, path: Trajectory): void {
  s.ground = -1;
  s.air++;
  if (now.rolling || now.touched) {
    const down = runnerPath(world, s, -s.gx * NEAR, -s.gy * NEAR, -s.gz * NEAR);
    // Mostly what bore it bears it on, well within its rims, and nothing else need be asked.
    const bears =
      now.under >= 0 && castAgainstOne(world, s, down, now.under, contact) && !contact.edge;
    if ((bears || castCapsule(world, s, down, contact)) && standOn(world, s, rolls)) {
      addSegment(path, s.x, s.y, s.z);
    }
  }
  if (s.ground !== now.frame) seenFrom(world, s, now.frame, s.ground);
  const borne = -now.ax * s.gx - now.ay * s.gy - now.az * s.gz;
  const pressed = s.ground < 0 ? 0 : Math.max(0, borne + now.turned / DT);
  s.press += (pressed - s.press) * 0.2;
}

/** Stands on what lies just below, if it is ground that is closed on and not bounced off. Returns whether it does. */
function standOn(world: World, s: RunState, rolls: Rolls): boolean {
  const { nx, ny, nz, collider } = contact;
  const across = s.gx * nx + s.gy * ny + s.gz * nz;
  if (across < GOES_ON || !carries(world, s, contact)) return false;
  const w = surfaceSpeed(world, s, contact, now.frame);
  const wx = w[0];
  const wy = w[1];
  const wz = w[2];
  if ((s.vx - wx) * nx + (s.vy - wy) * ny + (s.vz - wz) * nz > -CLOSING) return false;
  if (!goesOn(s) && !followBend(world, s) && bouncesOff(world, s, rolls)) return false;
  // What it stands in already is nobody's to leave here.
  const up = contact.t > 0 ? SKIN - contact.t * NEAR * across : 0;
  s.x += nx * up;
  s.y += ny * up;
  s.z += nz * up;
  noteGround(s);
  s.ground = collider;
  s.air = 0;
  return true;
}

/** Where what bears it goes on flat, nothing but what it fell within the tick is taken off. Returns whether it does. */
function goesOn(s: RunState): boolean {
  if (contact.collider !== now.frame || now.touched) return false;
  if (contact.nx !== s.gx || contact.ny !== s.gy || contact.nz !== s.gz) return false;
  s.vx -= now.fallenX;
  s.vy -= now.fallenY;
  s.vz -= now.fallenZ;
  return true;
}

/** Has ground be run into head on. Returns whether the runner is thrown back by it. */
function bouncesOff(world: World, s: RunState, rolls: Rolls): boolean {
  const pair = pairOf(world, contact, rolls.bounce, 0);
  const { closing, given } = meetSurface(world, s, contact, pair, now.frame);
  if (closing > LEAST_BOUNCE) rolled.hardest = Math.max(rolled.hardest, closing);
  if (given < closing) keep(s, given - closing);
  return given > closing;
}

/**
 * Whether the wall just met is a facet of a curve that the runner is turned by: going back along it, it would soon meet
 * the facet before. Such a wall turns what rolls and costs nothing.
 * @param into its speed along the wall's normal, m/s
 */
function isOfCurve(world: World, s: RunState, into: number): boolean {
  const { nx, ny, nz, collider } = contact;
  if (ny >= SIDE || ny <= -SIDE || -into <= PRESSED) return false;
  const [vx, vz] = [s.vx - into * nx, s.vz - into * nz];
  const speed = Math.sqrt(vx * vx + vz * vz);
  if (speed < LEAST_BOUNCE) return false;
  const k = -BACK / speed;
  return (
    castCapsule(world, s, runnerPath(world, s, vx * k, 0, vz * k, collider), facet) &&
    nx * facet.nx + ny * facet.ny + nz * facet.nz > TURN
  );
}

/** Speed into a wall that it is pressed to it by within a tick, m/s; more than that is a bend. */
const PRESSED = 0.25;

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
