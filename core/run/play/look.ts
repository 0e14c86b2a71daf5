import { markOf } from '../../pieces';
import { newContact, type World } from '../world';
import type { RunState } from '../state';
import { isOpen, castCapsule, runnerPath } from '../contact';
import { isPickupPresent } from '../rules';

const below = newContact();

/**
 * Ids of the pieces that are not to be seen: pickups gathered, slabs that gave way, gates that stand open,
 * and what is hidden or broken.
 */
export function hiddenPieces(world: World, s: RunState): Set<string> {
  const gone = new Set<string>();
  world.pickups.forEach((piece, i) => {
    if (!isPickupPresent(world, s, i)) gone.add(world.pieces[piece].id);
  });
  world.pieceGates.forEach((lock, piece) => {
    // A goal stands there, shut or open.
    if (lock >= 0 && markOf(world.pieces[piece]) !== 'goal' && isOpen(world, s, lock)) {
      gone.add(world.pieces[piece].id);
    }
  });
  s.away.forEach((away, piece) => {
    if (away) gone.add(world.pieces[piece].id);
  });
  return gone;
}

const DEEP = 30;

/** Height of what lies below the runner's foot, or -Infinity over open water; for its shadow. */
export function groundHeight(world: World, s: RunState): number {
  const down = runnerPath(world, s, 0, -DEEP, 0);
  down.y += 0.01;
  return castCapsule(world, s, down, below) ? down.y - DEEP * below.t : -Infinity;
}
