import type { RunState } from './state';
import { newContact, trace } from './trace';
import type { World } from './world';

const below = newContact();
const DEEP = 30;

/** Height of what lies below the runner's foot, or -Infinity over open water; for its shadow. */
export function floorBelow(world: World, s: RunState): number {
  if (!trace(world, s, s.x, s.y + 0.01, s.z, 0, -DEEP, 0, below)) return -Infinity;
  return s.y + 0.01 - DEEP * below.t;
}
