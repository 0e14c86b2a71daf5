import type { World } from '../world';
import type { EmitEvent, RunState } from '../state';
import { isPickupPresent } from './sensors';
import type { TickEvents } from './tickEvents';

/**
 * Breaks a piece: it is away from now on.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param piece the piece, by its place
 * @param happened what links may hear of in this tick
 * @param say is told what happened
 */
export function breakPiece(
  world: World,
  s: RunState,
  piece: number,
  happened: TickEvents,
  say: EmitEvent,
): void {
  if (s.away[piece] === 1) return;
  s.away[piece] = 1;
  happened.broken.push(piece);
  say('break', 1, piece);
  const pickup = world.pickupAt[piece];
  if (pickup >= 0 && isPickupPresent(world, s, pickup)) s.gathered[pickup] = s.tick + 1;
}
