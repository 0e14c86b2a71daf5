import { markOf } from '../../pieces';
import { type Collider, newContact, type World } from '../world';
import type { RunState } from '../state';
import { isOpen, castAgainst, castCapsule, runnerPath } from '../contact';
import { isPickupPresent } from '../rules';

const below = newContact();

/**
 * Whether a piece is to be seen: not a pickup gathered, a slab that gave way, a gate that stands open, nor
 * what is hidden or broken.
 */
export function hasPicture(world: World, s: RunState, piece: number): boolean {
  if (s.away[piece]) return false;
  const pickup = world.pickupAt[piece];
  if (pickup >= 0 && !isPickupPresent(world, s, pickup)) return false;
  const lock = world.pieceGates[piece];
  // A goal stands there, shut or open.
  return lock < 0 || markOf(world.pieces[piece]) === 'goal' || !isOpen(world, s, lock);
}

/** Ids of the pieces that are not to be seen. */
export function hiddenPieces(world: World, s: RunState): Set<string> {
  const gone = new Set<string>();
  for (let piece = 0; piece < world.pieces.length; piece++) {
    if (!hasPicture(world, s, piece)) gone.add(world.pieces[piece].id);
  }
  return gone;
}

const DEEP = 30;

/** Height of what lies below the runner's foot, or -Infinity over open water; for its shadow. */
export function groundHeight(world: World, s: RunState): number {
  const down = runnerPath(world, s, 0, -DEEP, 0);
  down.y += 0.01;
  return castCapsule(world, s, down, below) ? down.y - DEEP * below.t : -Infinity;
}

/**
 * How far the runner could be let down before it touches a collider, m; null where it would miss it.
 * @param world the course made ready
 * @param s the run's state
 * @param c the collider
 * @param deep farthest it is let down, m
 */
export function heightOver(world: World, s: RunState, c: Collider, deep: number): number | null {
  const down = runnerPath(world, s, 0, -deep, 0);
  below.t = 1;
  return castAgainst(world, s, down, c, below) ? deep * below.t : null;
}
