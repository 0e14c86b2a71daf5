import { familyOf } from '../../pieces';
import type { Collider, World } from '../world';
import type { RunState, EmitEvent } from '../state';
import { reachCheckpoint } from './checkpoints';
import { meetGoal } from './goal';
import { openGates } from './gates';
import { goThrough } from './portal';

/**
 * Acts on a sensor met after a part of the tick. Returns whether the tick ends with it.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param c the sensor that was met
 * @param part the part of the tick after which it was, 0 to 1
 * @param say is told what happened
 */
export function onSensor(
  world: World,
  s: RunState,
  c: Collider,
  part: number,
  say: EmitEvent,
): boolean {
  const { piece, role } = c;
  if (role === 'pickup') gather(world, s, piece, part, say);
  else if (role === 'checkpoint') reachCheckpoint(world, s, piece, part, say);
  else if (role === 'goal') return meetGoal(world, s, part, piece, say);
  else if (role === 'portal') {
    if (!goThrough(world, s, piece)) return false;
    say('portal', 1, piece);
    return true;
  } else if (role === 'switch') {
    if (openGates(world, s, piece)) say('switch', part, piece);
  }
  return false;
}

function gather(world: World, s: RunState, piece: number, part: number, say: EmitEvent): void {
  const place = world.pickupAt[piece];
  if (!isPickupPresent(world, s, place)) return;
  if (s.gathered[place] === 0) s.gatheredCount++;
  s.gathered[place] = s.tick + 1;
  s.worth += world.pieces[piece].worth ?? familyOf(world.pieces[piece].family).worth ?? 1;
  say('pickup', part, piece);
}

/** Whether a pickup is there to be gathered: it was not yet, or is again. */
export function isPickupPresent(world: World, s: RunState, pickup: number): boolean {
  const since = s.gathered[pickup];
  const respawn = world.respawns[pickup];
  return since === 0 || (respawn > 0 && s.tick - since >= respawn);
}
