import { familyOf, legOf } from '../pieces';
import type { Collider } from './collider';
import { isOpen, openGates } from './lock';
import { goThrough } from './portal';
import { DT } from './runner';
import { keepThings, restoreThings, SKIN, type RunState } from './state';
import type { Say } from './tell';
import type { Spot, World } from './world';

/** Ticks between two words about a shut goal or a checkpoint out of turn. */
const SHUT_REST = 120;

/** Acts on a sensor met after a part of the tick. Returns whether the tick ends with it. */
export function meet(world: World, s: RunState, c: Collider, part: number, say: Say): boolean {
  const { piece, role } = c;
  if (role === 'pickup') gather(world, s, piece, part, say);
  else if (role === 'checkpoint') reachCheckpoint(world, s, piece, part, say);
  else if (role === 'goal') return meetGoal(world, s, part, piece, say);
  else if (role === 'portal') {
    if (!goThrough(world, s, piece)) return false;
    say('portal', 1, piece);
    return true;
  } else if (role === 'switch') {
    if (openGates(world, s, world.pieces[piece])) say('switch', part, piece);
  } else if (role === 'hazard') {
    return hurt(world, s, c.hurt, c, part, say);
  }
  return false;
}

function gather(world: World, s: RunState, piece: number, part: number, say: Say): void {
  const place = world.pickups.indexOf(piece);
  if (!isThere(world, s, place)) return;
  if (s.gathered[place] === 0) s.gatheredCount++;
  s.gathered[place] = s.tick + 1;
  s.worth += world.pieces[piece].worth ?? familyOf(world.pieces[piece].family).worth ?? 1;
  say('pickup', part, piece);
}

/** Whether a pickup is there to be gathered: it was not yet, or is again. */
export function isThere(world: World, s: RunState, pickup: number): boolean {
  const since = s.gathered[pickup];
  const respawn = world.respawns[pickup];
  return since === 0 || (respawn > 0 && s.tick - since >= respawn);
}

function reachCheckpoint(world: World, s: RunState, piece: number, part: number, say: Say): void {
  const place = world.checkpoints.findIndex((c) => c.piece === piece);
  const { number, restores } = world.checkpoints[place];
  if (s.passed[place]) return;
  if (world.ordered) {
    const reached = s.checkpoint < 0 ? 0 : world.checkpoints[s.checkpoint].number;
    if (number <= reached) return;
    if (missing(world, s, number) >= 0) {
      if (s.tick - s.shutTick >= SHUT_REST) say('missed', part, piece);
      s.shutTick = s.tick;
      return;
    }
  }
  s.checkpoint = place;
  s.passed[place] = 1;
  if (restores) keepThings(s);
  say('checkpoint', part, piece);
}

/** The first number below one given of which no checkpoint was reached, or -1. */
function missing(world: World, s: RunState, below: number): number {
  let first = -1;
  for (let i = 0; i < world.checkpoints.length; i++) {
    const { number } = world.checkpoints[i];
    if (number >= below || (first >= 0 && number >= first)) continue;
    if (!world.checkpoints.some((c, k) => c.number === number && s.passed[k] === 1)) first = number;
  }
  return first;
}

/** The first checkpoint number that a goal still waits for, or -1. */
export const missingCheckpoint = (world: World, s: RunState): number =>
  world.ordered ? missing(world, s, Infinity) : -1;

/** What hurts sends back, throws off or slows. Returns whether the tick ends with it. */
export function hurt(
  world: World,
  s: RunState,
  { does, force }: Collider['hurt'],
  c: Collider | null,
  part: number,
  say: Say,
): boolean {
  if (does === 'back') {
    say('hazard', part, c?.piece);
    s.falls++;
    respawn(world, s, say);
    return true;
  }
  if (s.tick < s.slowUntil && does === 'slow') return false;
  say('hazard', part, c?.piece);
  if (does === 'slow') {
    s.slowUntil = s.tick + Math.round(force * 120);
    return false;
  }
  // Back the way it came, and up a little.
  const l = Math.sqrt(s.vx * s.vx + s.vz * s.vz);
  const [x, z] = l > 0.5 ? [-s.vx / l, -s.vz / l] : [-1, 0];
  s.vx = x * force;
  s.vz = world.lane === null ? z * force : 0;
  s.vy = force * 0.6;
  s.ground = -1;
  s.coyote = 0;
  s.rising = false;
  return false;
}

/** Acts on the goal being met, by the kind of the course. Returns whether the tick ends with it. */
function meetGoal(world: World, s: RunState, part: number, piece: number, say: Say): boolean {
  const { kind, checkpoints } = world;
  const shut = () => {
    if (s.tick - s.shutTick >= SHUT_REST) say('shut', part, piece);
    s.shutTick = s.tick;
    return false;
  };
  if (world.legs > 0 && legOf(world.pieces[piece]) !== s.leg + 1) return false;
  const lock = world.pieceLocks[piece];
  const { opens } = world.locks[lock] as { opens: string };
  if (opens !== 'always' && !isOpen(world, s, lock)) return shut();
  if (kind === 'gather' && s.gatheredCount < world.pickups.length) return shut();
  if (missingCheckpoint(world, s) >= 0) {
    // A round begins at its own end: that is nothing to be told of.
    return kind === 'laps' && s.checkpoint < 0 ? false : shut();
  }
  if (kind === 'hold' && ++s.held < world.holdTicks) return false;
  if (kind === 'laps' && s.lap + 1 < world.laps) {
    // A round without cairns counts only once the runner has been away from the goal.
    if (checkpoints.length === 0 && s.tick - s.shutTick < SHUT_REST) {
      s.shutTick = s.tick;
      return false;
    }
    s.lap++;
    s.checkpoint = -1;
    s.passed.fill(0);
    s.shutTick = s.tick;
    say('lap', part, piece);
    return false;
  }
  if (world.legs > 0 && s.leg < world.legs) {
    s.legs[2 * s.leg] = s.jumps - s.legJumps;
    s.legs[2 * s.leg + 1] = s.tick - s.legTick;
    s.leg++;
    s.legJumps = s.jumps;
    s.legTick = s.tick;
    if (s.leg < world.legs) {
      s.checkpoint = -1;
      say('leg', part, piece);
      putAt(world, s, world.starts[s.leg]);
      return true;
    }
  }
  s.finish = (s.tick - 1 + part) * DT;
  say('goal', part, piece);
  return true;
}

/** Puts the runner back to its last checkpoint, standing still. */
export function respawn(world: World, s: RunState, say: Say): void {
  const checkpoint = world.checkpoints[s.checkpoint];
  putAt(world, s, checkpoint ?? (world.legs > 0 ? world.starts[s.leg] : world.start));
  if (checkpoint?.restores) restoreThings(s);
  say('respawn');
}

/** Puts the runner at a place, standing still. */
export function putAt(world: World, s: RunState, spot: Spot): void {
  s.x = spot.at[0];
  s.y = spot.at[1] + SKIN;
  s.z = spot.at[2];
  s.baseY = spot.at[1];
  s.vx = 0;
  s.vy = 0;
  s.vz = 0;
  s.heading = spot.heading;
  s.fx = spot.ahead[0];
  s.fy = 0;
  s.fz = spot.ahead[2];
  s.gx = 0;
  s.gy = 1;
  s.gz = 0;
  s.ground = -1;
  s.air = 0;
  s.coyote = 0;
  s.buffer = 0;
  s.rising = false;
  s.airJumps = 0;
  s.rest = world.runner.restTicks;
}
