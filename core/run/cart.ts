import { F } from './field';
import { headingOf, pushed } from './hopper';
import type { Path } from './path';
import { AIR_TICKS, fall, pull, roll, settle } from './rolling';
import { DT, type Cart } from './runner';
import { FULL_PAD, type Input, type RunState } from './state';
import type { Say } from './tell';
import type { World } from './world';

/** Part of its hold that is left to a cart whose brake is drawn: it drifts. */
const DRIFTING = 0.2;
/** What rolling and the wind cost: m/s², and a part of the square of the speed. */
const ROLLING = 0.35;
/** Part of its top speed it goes backwards at. */
const BACKWARDS = 0.3;

const pulled = new Float64Array(4);

/**
 * A tick of the cart: x of the pad steers (to the right above 0), z drives (ahead below 0), the button
 * is the hand brake.
 */
export function tickCart(
  world: World,
  s: RunState,
  cart: Cart,
  input: Input,
  path: Path,
  say: Say,
): void {
  // A stroke's steps are finer than a pad's: no input turns or drives more than fully.
  const steer = within(input.x / FULL_PAD);
  const drive = within(-input.z / FULL_PAD);
  const grounded = s.ground >= 0 || s.air <= AIR_TICKS;
  // Ahead along the ground, and to the right of it.
  level(s);
  const [fx, fy, fz] = [s.fx, s.fy, s.fz];
  const rx = fy * s.gz - fz * s.gy;
  const ry = fz * s.gx - fx * s.gz;
  const rz = fx * s.gy - fy * s.gx;
  if (grounded && s.ground >= 0) {
    const surface = world.colliders[s.ground].surface;
    const top = cart.topSpeed * (surface?.pace ?? 1) * s.field[F.pace];
    const grip = cart.grip * (surface?.grip ?? 1) * s.field[F.grip] * (input.jump ? DRIFTING : 1);
    let ahead = s.vx * fx + s.vy * fy + s.vz * fz;
    let aside = s.vx * rx + s.vy * ry + s.vz * rz;
    pull(s, pulled);
    ahead += (pulled[0] * fx + pulled[1] * fy + pulled[2] * fz) * DT;
    aside += (pulled[0] * rx + pulled[1] * ry + pulled[2] * rz) * DT;
    ahead = driven(ahead, drive, input.jump, cart, top);
    // Sideways the wheels hold as much as presses them down.
    const hold = grip * Math.max(0, s.press, pulled[3]) * DT;
    aside = Math.abs(aside) <= hold ? 0 : aside - Math.sign(aside) * hold;
    s.vx = fx * ahead + rx * aside;
    s.vy = fy * ahead + ry * aside;
    s.vz = fz * ahead + rz * aside;
    turn(s, rx, ry, rz, (ahead / cart.turnRadius) * steer * DT);
    settle(s, pulled);
  } else {
    fall(s, cart.fallSpeed);
    turn(s, rx, ry, rz, 1.6 * cart.air * steer * DT);
  }
  pushed(world, s);
  const before = s.air;
  const [gx, gy, gz] = [s.gx, s.gy, s.gz];
  const hardest = roll(world, s, cart.bounce, path);
  // A wall is run against, not driven on: the ground stays what it was.
  if (s.air === 0 && gx * s.gx + gy * s.gy + gz * s.gz < 0.4 && s.gy < 0.5) {
    s.gx = gx;
    s.gy = gy;
    s.gz = gz;
  }
  if (hardest > 3 && before > AIR_TICKS) say('land');
  s.heading = headingOf(s.fx, s.fz, s.heading);
}

const within = (v: number): number => (v > 1 ? 1 : v < -1 ? -1 : v);

/** The speed ahead after a tick of driving or braking, m/s. */
function driven(ahead: number, drive: number, handBrake: boolean, cart: Cart, top: number): number {
  const towards = (goal: number, by: number) =>
    ahead < goal ? Math.min(goal, ahead + by) : Math.max(goal, ahead - by);
  if (handBrake) return towards(0, cart.brake * 0.2 * DT);
  if (drive > 0 && ahead < 0) return Math.min(0, ahead + cart.brake * drive * DT);
  if (drive > 0) {
    const goal = top * drive;
    return ahead > goal ? towards(goal, ROLLING * DT) : towards(goal, cart.acceleration * DT);
  }
  if (drive < 0 && ahead > 0) return Math.max(0, ahead + cart.brake * drive * DT);
  if (drive < 0) return Math.max(-top * BACKWARDS, ahead + cart.acceleration * drive * DT);
  return towards(0, ROLLING * DT);
}

/** Turns the way ahead by radians to the right. */
function turn(s: RunState, rx: number, ry: number, rz: number, by: number): void {
  s.fx += rx * by;
  s.fy += ry * by;
  s.fz += rz * by;
  level(s);
}

/** Brings the way ahead back to length 1 along the ground. */
function level(s: RunState): void {
  const off = s.fx * s.gx + s.fy * s.gy + s.fz * s.gz;
  const [x, y, z] = [s.fx - off * s.gx, s.fy - off * s.gy, s.fz - off * s.gz];
  const length = Math.sqrt(x * x + y * y + z * z);
  if (length < 1e-6) return;
  s.fx = x / length;
  s.fy = y / length;
  s.fz = z / length;
}
