import type { Collider, Mover, QueryBox, World } from '../world';
import type { RunState } from '../state';

// What is loose may come to be anywhere, so that a course's boxes at rest say nothing of it.

/**
 * Whether nothing loose is within a box now: what is true of it is true of each collider of theirs, and one asks once.
 * @param world the course made ready
 * @param s the run's state
 * @param box the box, m
 */
export function isFreeOfLoose({ loose }: World, s: RunState, box: QueryBox): boolean {
  for (const mover of loose) if (!isOutside(mover, s, box)) return false;
  return true;
}

/**
 * Whether a collider of something loose is not within a box now.
 * @param world the course made ready
 * @param s the run's state
 * @param c the collider
 * @param box the box, m
 */
export const outsideCurrentBounds = (
  world: World,
  s: RunState,
  c: Collider,
  box: QueryBox,
): boolean => isOutside(world.movers[c.mover], s, box);

function isOutside(
  { at, drive, reach }: Mover,
  { dynamicPoses: drives }: RunState,
  { x0, y0, z0, x1, y1, z1 }: QueryBox,
): boolean {
  const x = at[0] + drives[drive];
  if (x1 < x - reach || x0 > x + reach) return true;
  const y = at[1] + drives[drive + 1];
  if (y1 < y - reach || y0 > y + reach) return true;
  const z = at[2] + drives[drive + 2];
  return z1 < z - reach || z0 > z + reach;
}
