import { isAway } from './lock';
import type { RunState } from './state';
import { newContact, trace } from './trace';
import type { World } from './world';

const below = newContact();

/** Ids of the pieces that are not to be seen: pickups gathered, slabs that gave way, gates that stand open. */
export function goneFrom(world: World, s: RunState): Set<string> {
  const gone = new Set<string>();
  world.pickups.forEach((piece, i) => s.gathered[i] && gone.add(world.pieces[piece].id));
  if (world.locks.length > 0) {
    for (const c of world.colliders) {
      if (c.lock >= 0 && isAway(world, s, c)) gone.add(world.pieces[c.piece].id);
    }
  }
  return gone;
}

const DEEP = 30;

/** Height of what lies below the runner's foot, or -Infinity over open water; for its shadow. */
export function floorBelow(world: World, s: RunState): number {
  if (!trace(world, s, s.x, s.y + 0.01, s.z, 0, -DEEP, 0, below)) return -Infinity;
  return s.y + 0.01 - DEEP * below.t;
}
