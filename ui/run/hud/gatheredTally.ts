import { legOf, markOf } from '@/core/pieces';
import type { RunState, World } from '@/core/run';

/** How many were gathered, and how many that is counted against. */
export interface GatheredTally {
  readonly count: number;
  readonly of: number;
}

/** The goals that open once enough is gathered: their leg from 0, and how much that is. */
const locksByWorld = new WeakMap<World, readonly { leg: number; amount: number }[]>();

function locksOf(world: World) {
  let known = locksByWorld.get(world);
  if (!known) {
    known = world.pieces.flatMap((piece, i) => {
      const lock = world.gates[world.pieceGates[i]];
      const counts = lock?.kind === 'barred' && lock.opens === 'count';
      return counts && markOf(piece) === 'goal'
        ? [{ leg: legOf(piece) - 1, amount: lock.amount }]
        : [];
    });
    locksByWorld.set(world, known);
  }
  return known;
}

/** What was gathered of what the goal asks for; of all there is where no goal asks. */
export function gatheredTally(
  world: World,
  s: Readonly<Pick<RunState, 'gatheredCount' | 'legGathered' | 'leg'>>,
): GatheredTally {
  const asked = locksOf(world)
    .filter(({ leg }) => world.legs === 0 || leg === s.leg)
    .map(({ amount }) => amount);
  if (asked.length === 0) return { count: s.gatheredCount, of: world.pickups.length };
  return { count: s.gatheredCount - s.legGathered, of: Math.min(...asked) };
}
