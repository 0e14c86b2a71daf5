import type { World } from '../world';
import { saveCheckpoint, type RunState, type EmitEvent } from '../state';

/** Ticks between two words about a shut goal or a checkpoint out of turn. */
export const SHUT_REST = 120;

/**
 * Notes a checkpoint that is met, if it is of the leg being run and its turn has come.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param piece the piece, by its place
 * @param part the part of the tick after which it was, 0 to 1
 * @param say is told what happened
 */
export function reachCheckpoint(
  world: World,
  s: RunState,
  piece: number,
  part: number,
  say: EmitEvent,
): void {
  const place = world.checkpointAt[piece];
  const { number, restores } = world.checkpoints[place];
  if (s.passed[place] || !isOfLeg(world, s, place)) return;
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
  if (restores) saveCheckpoint(s);
  say('checkpoint', part, piece);
}

/** Whether a checkpoint counts in the leg being run. */
const isOfLeg = ({ legs, checkpoints }: World, s: RunState, place: number): boolean =>
  legs === 0 || checkpoints[place].leg === s.leg;

/** The first number below one given of which no checkpoint of the leg was reached, or -1. */
function missing(world: World, s: RunState, below: number): number {
  const { checkpoints } = world;
  let first = -1;
  for (let i = 0; i < checkpoints.length; i++) {
    const { number } = checkpoints[i];
    if (number >= below || (first >= 0 && number >= first) || !isOfLeg(world, s, i)) continue;
    if (!checkpoints.some((c, k) => c.number === number && s.passed[k] && isOfLeg(world, s, k))) {
      first = number;
    }
  }
  return first;
}

/** The first checkpoint number that the goal of the leg still waits for, whatever their order, or -1. */
export const missingCheckpoint = (world: World, s: RunState): number => missing(world, s, Infinity);
