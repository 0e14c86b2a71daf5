import { cosDeg, sinDeg } from '../geometry';
import type { Emit, RunEvent } from './event';
import { familyOf } from '../pieces';
import { DT } from './hopper';
import { openGates, standOn } from './lock';
import { fly, leaveGround, walk } from './move';
import { beginPath, newPath } from './path';
import { goThrough } from './portal';
import { carry, pushedBy } from './ride';
import { meetings, type Meeting } from './sense';
import { FULL_PAD, NO_INPUT, SKIN, type Input, type RunState } from './state';
import type { World } from './world';

const path = newPath();

/** Ticks between two words about a shut goal. */
const SHUT_REST = 120;

/**
 * Moves a run on by one tick of 1/120 s: the movers first, then the runner, then what it met.
 * Changes `s`; the same world, state and input always give the same bits.
 */
export function tick(world: World, s: RunState, input: Input, emit: Emit): void {
  if (s.finish >= 0) return;
  if (s.tick === 0) emit({ kind: 'start', tick: 0, time: 0, x: s.x, y: s.y, z: s.z });
  s.tick++;
  const told = s.rest > 0 ? NO_INPUT : input;
  if (s.rest > 0) s.rest--;

  beginPath(path, s.x, s.y, s.z);
  if (s.ground >= 0) carry(world, s, path);
  const crusher = pushedBy(world, s, path);
  if (crusher >= 0) {
    say(world, s, emit, 'crush', 1, world.colliders[crusher].piece);
    respawn(world, s, emit);
    return;
  }

  steer(world, s, told);
  jump(world, s, told, emit);
  if (s.ground >= 0) walk(world, s, path);
  else {
    const speed = fly(world, s, path);
    if (speed >= 0) say(world, s, emit, 'land');
  }
  if (s.ground >= 0) feel(world, s, emit);

  if (s.portal >= 0 && s.tick - s.portalTick > 1) s.portal = -1;
  for (const meeting of meetings(world, s, path)) {
    if (meet(world, s, meeting, emit)) return;
  }
  if (s.y < world.tide) {
    say(world, s, emit, 'fall');
    s.falls++;
    respawn(world, s, emit);
  }
}

/** Tells of something that happened after a part of the tick. */
function say(
  world: World,
  s: RunState,
  emit: Emit,
  kind: RunEvent['kind'],
  part = 1,
  piece = -1,
): void {
  const time = (s.tick - 1 + part) * DT;
  emit({ kind, tick: s.tick, time, x: s.x, y: s.y, z: s.z, piece: world.pieces[piece]?.id });
}

/** What the ground does: it may give way, or throw the runner up. */
function feel(world: World, s: RunState, emit: Emit): void {
  standOn(world, s);
  const bounce = world.colliders[s.ground].surface?.bounce;
  if (bounce === undefined) return;
  leaveGround(world, s);
  s.vy = bounce;
  s.coyote = 0;
  s.rising = false;
  say(world, s, emit, 'bounce');
}

/** Brings the speed over the map towards what the pad asks for. */
function steer(world: World, s: RunState, input: Input): void {
  const { hopper } = world;
  let px = input.x / FULL_PAD;
  let pz = world.lane === null ? input.z / FULL_PAD : 0;
  const push = Math.sqrt(px * px + pz * pz);
  if (push > 1) {
    px /= push;
    pz /= push;
  }
  const surface = s.ground >= 0 ? world.colliders[s.ground].surface : undefined;
  const topSpeed = hopper.topSpeed * (surface?.pace ?? 1);
  const ax = px * topSpeed - s.vx;
  const az = pz * topSpeed - s.vz;
  const change = Math.sqrt(ax * ax + az * az);
  const grip = surface?.grip ?? 1;
  const most = (s.ground >= 0 ? hopper.acceleration * grip : hopper.airAcceleration) * DT;
  const part = change <= most ? 1 : most / change;
  s.vx += ax * part;
  s.vz += az * part;
  if (push > 0.1) s.heading = headingOf(px, pz, s.heading);
}

/** Degrees about y of a direction over the map, in steps of 15: only looks depend on it. */
function headingOf(x: number, z: number, fallback: number): number {
  if (z === 0) return x > 0 ? 0 : x < 0 ? 180 : fallback;
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

function jump(world: World, s: RunState, input: Input, emit: Emit): void {
  const { hopper } = world;
  if (input.jump && !s.jumpHeld) s.buffer = hopper.bufferTicks;
  else if (s.buffer > 0) s.buffer--;
  s.jumpHeld = input.jump;
  if (s.buffer > 0 && (s.ground >= 0 || s.coyote > 0)) {
    s.vy = hopper.jumpSpeed;
    if (s.ground >= 0) leaveGround(world, s);
    s.coyote = 0;
    s.buffer = 0;
    s.rising = true;
    s.jumps++;
    say(world, s, emit, 'jump', 0);
  } else if (s.ground < 0 && s.coyote > 0) s.coyote--;
  if (s.rising && s.vy <= 0) s.rising = false;
  if (s.rising && !input.jump) {
    s.vy *= hopper.jumpCut;
    s.rising = false;
  }
}

/** Acts on something met. Returns whether the tick ends with it. */
function meet(world: World, s: RunState, { collider, part }: Meeting, emit: Emit): boolean {
  const { piece, role } = collider;
  if (role === 'pickup') {
    const place = world.pickups.indexOf(piece);
    if (s.gathered[place]) return false;
    s.gathered[place] = 1;
    s.gatheredCount++;
    s.worth += familyOf(world.pieces[piece].family).worth ?? 0;
    say(world, s, emit, 'pickup', part, piece);
  } else if (role === 'checkpoint') {
    const place = world.checkpoints.findIndex((c) => c.piece === piece);
    const reached = s.checkpoint < 0 ? -Infinity : world.checkpoints[s.checkpoint].number;
    if (world.checkpoints[place].number <= reached) return false;
    s.checkpoint = place;
    say(world, s, emit, 'checkpoint', part, piece);
  } else if (role === 'goal') {
    return meetGoal(world, s, part, piece, emit);
  } else if (role === 'portal') {
    if (!goThrough(world, s, piece)) return false;
    say(world, s, emit, 'portal', 1, piece);
    return true;
  } else if (role === 'switch') {
    if (openGates(world, s, world.pieces[piece])) say(world, s, emit, 'switch', part, piece);
  } else if (role === 'hazard') {
    say(world, s, emit, 'hazard', part, piece);
    s.falls++;
    respawn(world, s, emit);
    return true;
  }
  return false;
}

/** Acts on the goal being met, by the kind of the course. Returns whether the tick ends with it. */
function meetGoal(world: World, s: RunState, part: number, piece: number, emit: Emit): boolean {
  const { kind, checkpoints } = world;
  const shut = () => {
    if (s.tick - s.shutTick >= SHUT_REST) say(world, s, emit, 'shut', part, piece);
    s.shutTick = s.tick;
    return false;
  };
  if (kind === 'gather' && s.gatheredCount < world.pickups.length) return shut();
  if (kind === 'hold' && ++s.held < world.holdTicks) return false;
  if (kind === 'laps') {
    const last = Math.max(...checkpoints.map(({ number }) => number));
    if (s.checkpoint < 0 || checkpoints[s.checkpoint].number < last) return shut();
    s.lap++;
    if (s.lap < world.laps) {
      s.checkpoint = -1;
      s.shutTick = s.tick;
      say(world, s, emit, 'lap', part, piece);
      return false;
    }
  }
  s.finish = (s.tick - 1 + part) * DT;
  say(world, s, emit, 'goal', part, piece);
  return true;
}

/** Puts the runner back to its last checkpoint, standing still. */
function respawn(world: World, s: RunState, emit: Emit): void {
  const spot = world.checkpoints[s.checkpoint] ?? world.start;
  s.x = spot.at[0];
  s.y = spot.at[1] + SKIN;
  s.z = spot.at[2];
  s.baseY = spot.at[1];
  s.vx = 0;
  s.vy = 0;
  s.vz = 0;
  s.heading = spot.heading;
  s.ground = -1;
  s.coyote = 0;
  s.buffer = 0;
  s.rising = false;
  s.rest = world.hopper.restTicks;
  say(world, s, emit, 'respawn');
}

/** x and z of the 24 headings. */
const COMPASS = Array.from({ length: 24 }, (_, i) => [cosDeg(i * 15), -sinDeg(i * 15)]).flat();
