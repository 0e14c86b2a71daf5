import { legOf } from '../../pieces';
import { DT, type World } from '../world';
import type { RunState, EmitEvent } from '../state';
import { beginningOf, isOpen, teleport } from '../contact';
import { missingCheckpoint, SHUT_REST } from './checkpoints';

/**
 * Acts on the goal being met, by the kind of the course. Returns whether the tick ends with it.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param part the part of the tick after which it was, 0 to 1
 * @param piece the piece, by its place
 * @param say is told what happened
 */
export function meetGoal(
  world: World,
  s: RunState,
  part: number,
  piece: number,
  say: EmitEvent,
): boolean {
  const { kind } = world;
  if (world.legs > 0 && legOf(world.pieces[piece]) !== s.leg + 1) return false;
  if (isShut(world, s, piece)) {
    // A round begins at its own end: that is nothing to be told of.
    if (kind === 'laps' && s.checkpoint < 0 && missingCheckpoint(world, s) >= 0) return false;
    if (s.tick - s.shutTick >= SHUT_REST) say('shut', part, piece);
    s.shutTick = s.tick;
    return false;
  }
  if (kind === 'hold') {
    // Goals that overlap are one place: a tick in both is one tick.
    if (s.heldTick !== s.tick) s.held++;
    s.heldTick = s.tick;
    if (s.held < world.holdTicks) return false;
  }
  if (kind === 'laps') {
    if (world.roundOff > 0 && !s.offGoal) return false;
    s.offGoal = false;
    if (s.lap + 1 < world.laps) {
      s.lap++;
      s.checkpoint = -1;
      s.passed.fill(0);
      s.shutTick = s.tick;
      say('lap', part, piece);
      return false;
    }
  }
  if (world.legs > 0 && s.leg < world.legs) {
    endLeg(s);
    if (s.leg < world.legs) {
      say('leg', part, piece);
      teleport(world, s, beginningOf(world, s));
      return true;
    }
  }
  s.finish = (s.tick - 1 + part) * DT;
  say('goal', part, piece);
  return true;
}

/** Whether a goal does not count yet: locked, or with something of its leg left to gather or to pass. */
function isShut(world: World, s: RunState, piece: number): boolean {
  const place = world.pieceGates[piece];
  const lock = world.gates[place];
  const locked = lock.kind === 'barred' && lock.opens !== 'always' && !isOpen(world, s, place);
  return (
    locked ||
    (world.kind === 'gather' && missingPickups(world, s) > 0) ||
    missingCheckpoint(world, s) >= 0
  );
}

/** How many pickups of the leg being run were not gathered yet. */
export function missingPickups(world: World, s: RunState): number {
  let count = 0;
  for (let i = 0; i < s.gathered.length; i++) {
    if (s.gathered[i] === 0 && (world.legs === 0 || world.pickupLegs[i] === s.leg)) count++;
  }
  return count;
}

/** Notes what the leg took, and begins the next: what belongs to a leg is counted from there. */
function endLeg(s: RunState): void {
  s.legs[2 * s.leg] = s.jumps - s.legJumps;
  s.legs[2 * s.leg + 1] = s.tick - s.legTick;
  s.leg++;
  s.legJumps = s.jumps;
  s.legTick = s.tick;
  s.legGathered = s.gatheredCount;
  s.legWorth = s.worth;
  s.held = 0;
  s.checkpoint = -1;
  s.snapshot = null;
}

/** Notes whether the runner has been off the goal of a round that no checkpoint tells from the next. */
export function watchRound(world: World, s: RunState): void {
  const { roundOff, goals } = world;
  if (s.offGoal) return;
  for (const [x, y, z] of goals) {
    const [dx, dy, dz] = [s.x - x, s.y - y, s.z - z];
    if (dx * dx + dy * dy + dz * dz <= roundOff * roundOff) return;
  }
  s.offGoal = true;
}
