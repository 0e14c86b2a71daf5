import { DT, type Flick, type Roller, type World } from '../world';
import {
  FieldIndex,
  FULL_AIM,
  FULL_PAD,
  type Input,
  type Trajectory,
  type RunState,
  type EmitEvent,
} from '../state';
import { headingOf, pushed } from './hopper';
import { alongOf, pull, slow } from './pull';
import { AIR_TICKS, roll, type Rolls } from './rolling';

/**
 * What rolling takes of a pull along the ground: a solid sphere that rolls without slip gains 5/7 of it,
 * and needs a hold of 2/7 of it to do so (see any text on rigid bodies).
 */
const ROLLS = 5 / 7;
const NEEDS = 2 / 7;

const pulled = new Float64Array(4);

/**
 * A tick of the roller: pushed along by the pad, held back by the button.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param roller the runner’s figures
 * @param input what the controls stand at
 * @param path is given each leg of the way made
 * @param say is told what happened
 */
export function tickRoller(
  world: World,
  s: RunState,
  roller: Roller,
  input: Input,
  path: Trajectory,
  say: EmitEvent,
): void {
  const grounded = s.ground >= 0;
  const surface = grounded ? world.colliders[s.ground].surface : undefined;
  const grip = roller.grip * (surface?.grip ?? 1) * s.field[FieldIndex.grip];
  const top = roller.topSpeed * (surface?.pace ?? 1) * s.field[FieldIndex.pace];
  let px = input.x / FULL_PAD;
  let pz = world.lane === null ? input.z / FULL_PAD : 0;
  const length = Math.sqrt(px * px + pz * pz);
  if (length > 1) {
    px /= length;
    pz /= length;
  }
  if (length > 0.1) s.heading = headingOf(px, pz, s.heading);
  if (grounded) {
    const press = feelPull(s, grip);
    slow(s, (input.jump ? grip : roller.rolling) * press * DT);
    push(s, px, pz, Math.min(roller.acceleration, grip * press), top, true);
  } else {
    push(s, px, pz, s.air <= AIR_TICKS ? roller.acceleration : roller.airAcceleration, top, false);
  }
  pushed(world, s);
  rolls.bounce = roller.bounce;
  rolls.friction = roller.rolling;
  rolls.fallSpeed = roller.fallSpeed;
  const { hardest } = roll(world, s, rolls, path);
  if (s.ground >= 0) feelPull(s, grip);
  if (hardest > 2) say('land');
}

/** How the balls of this room roll. */
const rolls: Rolls = { bounce: 0, friction: 0, lip: 0, fallSpeed: 0 };

/**
 * Gravity along the ground for half a tick, as a sphere that rolls feels it: half before it moves and half after, each
 * as the ground lies there, so that on a curve nothing is gained or lost. Returns what presses it on, m/s².
 */
function feelPull(s: RunState, grip: number): number {
  pull(s, pulled);
  const along = alongOf(pulled);
  const press = Math.max(pulled[3], s.press, 0);
  // With too little hold it slides, and the hold there is works against the slide.
  const part =
    along * NEEDS <= grip * press || along === 0 ? ROLLS : Math.max(0, 1 - (grip * press) / along);
  const k = 0.5 * part * DT;
  s.vx += pulled[0] * k;
  s.vy += pulled[1] * k;
  s.vz += pulled[2] * k;
  return press;
}

/** Pushes along the ground as long as that does not make it faster than its top speed. */
function push(
  s: RunState,
  px: number,
  pz: number,
  acceleration: number,
  top: number,
  grounded: boolean,
): void {
  // Along the ground: the pad's way over the map, leaned with what is rolled on.
  const into = grounded ? px * s.gx + pz * s.gz : 0;
  const [x, y, z] = [px - into * s.gx, -into * s.gy, pz - into * s.gz];
  const along = s.vx * x + s.vy * y + s.vz * z;
  const length = Math.sqrt(x * x + y * y + z * z);
  if (length === 0) return;
  const more = Math.min(acceleration * DT, Math.max(0, top - along / length));
  s.vx += x * more;
  s.vy += y * more;
  s.vz += z * more;
}

/**
 * A tick of the flick stone: struck when it lies still, sliding until it does again.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param flick the runner’s figures
 * @param input what the controls stand at
 * @param path is given each leg of the way made
 * @param say is told what happened
 */
export function tickFlick(
  world: World,
  s: RunState,
  flick: Flick,
  input: Input,
  path: Trajectory,
  say: EmitEvent,
): void {
  const grounded = s.ground >= 0;
  const surface = grounded ? world.colliders[s.ground].surface : undefined;
  const friction = flick.friction * (surface?.grip ?? 1) * s.field[FieldIndex.grip];
  const struck = input.jump && !s.jumpHeld;
  s.jumpHeld = input.jump;
  if (grounded) {
    if (struck && isStill(s) && (input.x !== 0 || input.z !== 0)) {
      strike(world, s, flick, input);
      say('stroke', 0);
    }
    pull(s, pulled);
    const along = alongOf(pulled);
    const hold = friction * Math.max(pulled[3], s.press > 2 * pulled[3] ? s.press : 0);
    // Lying still it is held by as much as it takes.
    if (!(along <= hold && isStill(s))) {
      s.vx += pulled[0] * DT;
      s.vy += pulled[1] * DT;
      s.vz += pulled[2] * DT;
    }
    slow(s, hold * DT);
  }
  pushed(world, s);
  rolls.bounce = flick.bounce;
  rolls.friction = flick.friction;
  rolls.fallSpeed = flick.fallSpeed;
  const { hardest } = roll(world, s, rolls, path);
  if (hardest > 2) say('bounce');
}

/** Speed under which a stone lies still, m/s. */
const STILL_SPEED = 0.06;

/** Whether a stone lies still on its ground: its speed along it. */
function isStill(s: RunState): boolean {
  const into = s.vx * s.gx + s.vy * s.gy + s.vz * s.gz;
  return s.vx * s.vx + s.vy * s.vy + s.vz * s.vz - into * into < STILL_SPEED * STILL_SPEED;
}

/** Whether the flick stone may be struck. */
export const mayStrike = (s: RunState): boolean => s.ground >= 0 && isStill(s);

function strike(world: World, s: RunState, flick: Flick, input: Input): void {
  const [ax, az] = [input.x / FULL_AIM, input.z / FULL_AIM];
  const length = Math.sqrt(ax * ax + az * az);
  const k = (length > 1 ? 1 / length : 1) * flick.strength;
  // On a side-on stage the stroke goes up and along; else over the map, with the ground.
  if (world.lane !== null) {
    s.vx += ax * k;
    s.vy += -az * k;
  } else {
    const into = ax * s.gx + az * s.gz;
    s.vx += (ax - into * s.gx) * k;
    s.vy += -into * s.gy * k;
    s.vz += (az - into * s.gz) * k;
  }
  s.heading = headingOf(ax, az, s.heading);
  s.jumps++;
}
