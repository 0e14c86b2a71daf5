import { type Cart, DT, type World } from '../world';
import {
  FieldIndex,
  FULL_PAD,
  type Input,
  type Trajectory,
  type RunState,
  type EmitEvent,
} from '../state';
import { headingOf, pushed } from './hopper';
import { pull } from './pull';
import { AIR_TICKS, roll, type Rolled, type Rolls } from './rolling';

/** Part of its hold that is left to a cart whose brake is drawn: it drifts. */
const DRIFTING = 0.2;
/** What rolling and the wind cost: m/s², and a part of the square of the speed. */
const ROLLING = 0.35;
/** Part of its top speed it goes backwards at. */
const BACKWARDS = 0.3;

/** Part of its wheels' radius up to which they ride over a lip. */
export const LIP = 0.1;

const pulled = new Float64Array(4);

/**
 * A tick of the cart: x of the pad steers (to the right above 0), z drives (ahead below 0), the button
 * is the hand brake.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param cart the runner’s figures
 * @param input what the controls stand at
 * @param path is given each leg of the way made
 * @param say is told what happened
 */
export function tickCart(
  world: World,
  s: RunState,
  cart: Cart,
  input: Input,
  path: Trajectory,
  say: EmitEvent,
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
  const driving = grounded && s.ground >= 0;
  if (driving) {
    const surface = world.colliders[s.ground].surface;
    const top = cart.topSpeed * (surface?.pace ?? 1) * s.field[FieldIndex.pace];
    const grip =
      cart.grip * (surface?.grip ?? 1) * s.field[FieldIndex.grip] * (input.jump ? DRIFTING : 1);
    let ahead = s.vx * fx + s.vy * fy + s.vz * fz;
    let aside = s.vx * rx + s.vy * ry + s.vz * rz;
    pull(s, pulled);
    aside += (pulled[0] * rx + pulled[1] * ry + pulled[2] * rz) * DT;
    const along = pulled[0] * fx + pulled[1] * fy + pulled[2] * fz;
    ahead = driven(ahead, along, drive, input.jump, cart, top);
    // Sideways the wheels hold as much as presses them down.
    const hold = grip * Math.max(0, s.press, pulled[3]) * DT;
    aside = Math.abs(aside) <= hold ? 0 : aside - Math.sign(aside) * hold;
    s.vx = fx * ahead + rx * aside;
    s.vy = fy * ahead + ry * aside;
    s.vz = fz * ahead + rz * aside;
    turn(s, rx, ry, rz, (ahead / cart.turnRadius) * steer * DT);
  } else {
    turn(s, rx, ry, rz, 1.6 * cart.air * steer * DT);
  }
  pushed(world, s);
  const before = s.air;
  rolls.bounce = cart.bounce;
  rolls.lip = LIP * world.bodies[s.size].radius;
  rolls.fallSpeed = cart.fallSpeed;
  const rolled = roll(world, s, rolls, path);
  const { hardest } = rolled;
  turnAlongWall(s, rolled);
  if (driving && s.ground >= 0) evenPull(s);
  if (hardest > 3 && before > AIR_TICKS) say('land');
  s.heading = headingOf(s.fx, s.fz, s.heading);
}

/**
 * Has gravity along the way be the mean of what it was before the tick, as the ground lay there, and of what it is
 * after it, so that on a curve nothing is gained or lost.
 */
function evenPull(s: RunState): void {
  const before = pulled[0] * s.fx + pulled[1] * s.fy + pulled[2] * s.fz;
  pull(s, pulled);
  const more = 0.5 * DT * (pulled[0] * s.fx + pulled[1] * s.fy + pulled[2] * s.fz - before);
  s.vx += s.fx * more;
  s.vy += s.fy * more;
  s.vz += s.fz * more;
}

/** Part of what presses a cart against a wall that the wall holds it back by. */
const SCRAPE = 0.15;
const rolls: Rolls = { bounce: 0, friction: SCRAPE, lip: 0, fallSpeed: 0 };
/** Least part of the way ahead that has to lie along a wall for a touch to turn the cart: more is head on. */
const GLANCING = 0.7;

/** A wall that a cart runs along turns it: its nose no longer points into it. */
function turnAlongWall(s: RunState, { wallX, wallY, wallZ }: Rolled): void {
  const into = s.fx * wallX + s.fy * wallY + s.fz * wallZ;
  if (into >= 0 || into * into > 1 - GLANCING * GLANCING) return;
  s.fx -= into * wallX;
  s.fy -= into * wallY;
  s.fz -= into * wallZ;
  level(s);
}

const within = (v: number): number => (v > 1 ? 1 : v < -1 ? -1 : v);

/**
 * The speed ahead after a tick of driving or braking, m/s.
 * @param pull what gravity adds to it, m/s²
 * @param drive how far the pedal is down: ahead above 0, back below
 * @param top the speed it may drive up to, m/s
 */
function driven(
  ahead: number,
  pull: number,
  drive: number,
  handBrake: boolean,
  cart: Cart,
  top: number,
): number {
  if (handBrake) return towards(ahead + pull * DT, 0, cart.brake * 0.2 * DT);
  if (drive === 0) return towards(ahead + pull * DT, 0, ROLLING * DT);
  // Backing up is driving seen from behind.
  return drive > 0
    ? pedalled(ahead, pull, cart.brake * drive, cart.acceleration, top * drive)
    : -pedalled(-ahead, -pull, -cart.brake * drive, -cart.acceleration * drive, top * BACKWARDS);
}

/**
 * The speed along the way the pedal drives after a tick: braked while it goes the other way, driven from
 * there on. Where drive alone cannot hold it on a slope the brake does, as far as it goes.
 * @param brake m/s² against the way it goes
 * @param power m/s² along the way it is driven
 * @param goal speed it is driven up to, m/s
 */
function pedalled(along: number, pull: number, brake: number, power: number, goal: number): number {
  let [speed, time] = [along, DT];
  if (speed < 0) {
    const slowing = brake + pull;
    if (speed + slowing * time < 0) return speed + slowing * time;
    time += speed / slowing;
    speed = 0;
  }
  const free = speed + pull * time;
  if (free > goal) return towards(free, goal, ROLLING * time);
  const next = Math.min(goal, free + power * time);
  if (next >= 0) return next;
  // Slowed to nothing within the tick: from then on it is braked.
  return Math.min(0, (brake + pull) * (time + speed / (power + pull)));
}

/** A speed brought nearer to another by so much, and never past it. */
const towards = (speed: number, goal: number, by: number): number =>
  speed < goal ? Math.min(goal, speed + by) : Math.max(goal, speed - by);

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
