import { cosDeg, sinDeg } from '../../geometry';
import { DT, type Hopper, SECONDS_TO_TOP_SPEED, type World } from '../world';
import {
  FieldIndex,
  FULL_PAD,
  type Input,
  type Trajectory,
  type RunState,
  type EmitEvent,
} from '../state';
import { fly, walk } from './feet';
import { leaveGround } from './move';
import { gravityOf, paceAlong, setAlong, upOf } from './up';

/** Falling speed of a hopper that holds on to a wall, m/s. */
const WALL_SLIDE = 1.5;
/** Ticks after touching a wall in which a jump still takes off from it. */
const WALL_TICKS = 10;

/**
 * A tick of the hopper: it steers, jumps, and runs along the ground or through the air.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param hopper the runner’s figures
 * @param input what the controls stand at
 * @param path is given each leg of the way made
 * @param say is told what happened
 */
export function tickHopper(
  world: World,
  s: RunState,
  hopper: Hopper,
  input: Input,
  path: Trajectory,
  say: EmitEvent,
): void {
  steer(world, s, hopper, input);
  jump(world, s, hopper, input, say);
  pushed(world, s);
  if (s.ground >= 0) walk(world, s, hopper, path);
  else {
    const slide = hopper.wallHold && onWall(s, input) ? WALL_SLIDE : 0;
    if (fly(world, s, hopper, path, slide) >= 0) say('land');
  }
}

/** Brings the speed over the map towards what the pad asks for. */
function steer(world: World, s: RunState, hopper: Hopper, input: Input): void {
  let px = input.x / FULL_PAD;
  let pz = world.lane === null ? input.z / FULL_PAD : 0;
  if (hopper.autorun) {
    // Runs on by itself; where it may go anywhere the pad still says which way.
    if (world.lane !== null || (px === 0 && pz === 0)) {
      px = cosDeg(s.heading);
      pz = world.lane === null ? -sinDeg(s.heading) : 0;
    } else {
      const l = Math.sqrt(px * px + pz * pz);
      px /= l;
      pz /= l;
    }
  }
  const push = Math.sqrt(px * px + pz * pz);
  if (push > 1) {
    px /= push;
    pz /= push;
  }
  const surface = s.ground >= 0 ? world.colliders[s.ground].surface : undefined;
  const topSpeed = hopper.topSpeed * (surface?.pace ?? 1) * s.field[FieldIndex.pace];
  const up = upOf(s);
  // The pad says where to over the map; what it says is gone square to the way up.
  const rise = px * up.x + pz * up.z;
  const [ex, ey, ez] = [px - rise * up.x, -rise * up.y, pz - rise * up.z];
  const pace = paceAlong(s, up);
  const [vx, vy, vz] = [s.vx - pace * up.x, s.vy - pace * up.y, s.vz - pace * up.z];
  // Wind takes one along on the ground by as much as it would move one in the time to full speed.
  const wind = s.ground >= 0 ? SECONDS_TO_TOP_SPEED : 0;
  const { field } = s;
  const blown =
    field[FieldIndex.pushX] * up.x +
    field[FieldIndex.pushY] * up.y +
    field[FieldIndex.pushZ] * up.z;
  const ax = ex * topSpeed + (field[FieldIndex.pushX] - blown * up.x) * wind - vx;
  const ay = ey * topSpeed + (field[FieldIndex.pushY] - blown * up.y) * wind - vy;
  const az =
    world.lane === null ? ez * topSpeed + (field[FieldIndex.pushZ] - blown * up.z) * wind - vz : 0;
  const change = Math.sqrt(ax * ax + ay * ay + az * az);
  const grip = (surface?.grip ?? 1) * s.field[FieldIndex.grip];
  const most = (s.ground >= 0 ? hopper.acceleration * grip : hopper.airAcceleration) * DT;
  const part = change <= most ? 1 : most / change;
  // A boost is kept until the pad pulls against it.
  const own = hopper.topSpeed;
  const boosted = vx * vx + vy * vy + vz * vz > own * own && ex * vx + ey * vy + ez * vz > 0;
  const fade = boosted ? BOOST_FADE : 1;
  s.vx += ax * part * fade;
  s.vy += ay * part * fade;
  s.vz += az * part * fade;
  if (push > 0.1) s.heading = headingOf(px, pz, s.heading);
}

/** How much of the usual change of speed brings a runner back from over its top speed. */
const BOOST_FADE = 0.12;

/** What regions do to the speed: they push, and speed up to a limit of their own. */
export function pushed(world: World, s: RunState): void {
  const { field } = s;
  const [px, py, pz] = [field[FieldIndex.pushX], field[FieldIndex.pushY], field[FieldIndex.pushZ]];
  if (px !== 0 || py !== 0 || pz !== 0) {
    // Enough lift takes the runner off the ground.
    const up = upOf(s);
    if (s.ground >= 0 && px * up.x + py * up.y + pz * up.z > gravityOf(s)) leaveGround(world, s);
    if (s.ground < 0 || !world.runner.walks) {
      s.vx += px * DT;
      s.vy += py * DT;
      if (world.lane === null) s.vz += pz * DT;
    }
  }
  if (field[FieldIndex.boost] > 0) {
    const [bx, by, bz] = [
      field[FieldIndex.boostX],
      field[FieldIndex.boostY],
      field[FieldIndex.boostZ],
    ];
    const along = s.vx * bx + s.vy * by + s.vz * bz;
    const more = Math.min(
      field[FieldIndex.boost] * DT,
      Math.max(0, field[FieldIndex.boostTop] - along),
    );
    s.vx += bx * more;
    if (s.ground < 0) s.vy += by * more;
    if (world.lane === null) s.vz += bz * more;
  }
}

/** Whether the pad holds the hopper to the wall it touched last. */
const onWall = (s: RunState, input: Input): boolean =>
  s.tick - s.wallTick <= 2 && input.x * s.wallX + input.z * s.wallZ < 0;

/** Keeps a press of the button for some ticks; tells whether it was pressed in this one. */
function notePress(s: RunState, hopper: Hopper, input: Input): boolean {
  const pressed = input.jump && !s.jumpHeld;
  // The tick of the press comes before those in which it is kept.
  if (pressed) s.buffer = hopper.bufferTicks + 1;
  else if (s.buffer > 0) s.buffer--;
  s.jumpHeld = input.jump;
  return pressed;
}

/** Jumps from the ground, off a wall, or once more in the air. */
function jump(world: World, s: RunState, hopper: Hopper, input: Input, say: EmitEvent): void {
  const pressed = notePress(s, hopper, input);
  const up = upOf(s);
  const ground = s.ground >= 0 || s.coyote > 0;
  const wall = !ground && hopper.wallJump && s.tick - s.wallTick <= WALL_TICKS;
  const again = !ground && !wall && hopper.doubleJump && s.airJumps === 0;
  if (s.buffer > 0 && ground && dropThrough(world, s, input)) {
    s.buffer = 0;
  } else if (s.buffer > 0 && (ground || (pressed && (wall || again)))) {
    leap(world, s, hopper, wall, up);
    if (again) s.airJumps = 1;
    say('jump', 0);
  } else if (s.ground < 0 && s.coyote > 0) s.coyote--;
  if (s.rising) endRise(s, hopper, input, up);
}

/** Ends a rise at its top, or cuts it short where the button is let go of. */
function endRise(s: RunState, hopper: Hopper, input: Input, up: ReturnType<typeof upOf>): void {
  const pace = paceAlong(s, up);
  if (pace > 0 && input.jump) return;
  if (pace > 0) setAlong(s, up, pace * hopper.jumpCut);
  s.rising = false;
}

/** Gives the speed of a jump, and off a wall that away from it. */
function leap(
  world: World,
  s: RunState,
  hopper: Hopper,
  wall: boolean,
  up: ReturnType<typeof upOf>,
): void {
  const g = gravityOf(s);
  setAlong(s, up, Math.sqrt(2 * (g > 0 ? g : world.gravity) * hopper.jumpHeight));
  if (s.ground >= 0) leaveGround(world, s);
  if (wall) {
    s.vx += s.wallX * hopper.topSpeed;
    if (world.lane === null) s.vz += s.wallZ * hopper.topSpeed;
    s.wallTick -= WALL_TICKS + 1;
  }
  s.coyote = 0;
  s.buffer = 0;
  s.rising = true;
  s.jumps++;
}

/** Lets the runner down through the one-way face it stands on, with the pad drawn down and a jump. */
function dropThrough(world: World, s: RunState, input: Input): boolean {
  const c = world.colliders[s.ground];
  if (world.lane === null || input.z < FULL_PAD / 2 || !c?.oneWay?.drop) return false;
  s.drop = c.piece;
  s.dropTick = s.tick;
  leaveGround(world, s);
  s.coyote = 0;
  return true;
}

/** Degrees about y of a direction over the map, in steps of 15: only looks depend on it. */
export function headingOf(x: number, z: number, fallback: number): number {
  if (z === 0) return x > 0 ? 0 : x < 0 ? 180 : fallback;
  // Mostly the last one still is the nearest: its dot product tells.
  const last = COMPASS[2 * (fallback / 15)] * x + COMPASS[2 * (fallback / 15) + 1] * z;
  if (last > HALF_STEP * Math.sqrt(x * x + z * z)) return fallback;
  // The nearest of 24 directions, by the largest dot product with each.
  let best = fallback;
  let most = -Infinity;
  for (let i = 0; i < 24; i++) {
    const along = x * COMPASS[2 * i] + z * COMPASS[2 * i + 1];
    if (along > most) {
      most = along;
      best = i * 15;
    }
  }
  return best;
}

/** Cosine of half a step between headings. */
const HALF_STEP = cosDeg(7.5);

/** x and z of the 24 headings. */
const COMPASS = Array.from({ length: 24 }, (_, i) => [cosDeg(i * 15), -sinDeg(i * 15)]).flat();
