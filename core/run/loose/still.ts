import type { World as Space } from '@dimforge/rapier3d-compat';
import type { World } from '../world';
import { type RunState, tideOf } from '../state';
import type { Handles } from './space';
import { areAlike, isClear, isExposed, surroundingsOf } from './surroundings';

// A step of the library takes ten times as long as the rest of a tick, also when all it has to step is asleep. What
// lies still need not be stepped: nothing wakes it but what is told here.

/** Loose pieces that all lie still, and what they lay still by. */
export interface Still {
  readonly surroundings: Float64Array;
  /** Height of the lowest one's middle, m. */
  readonly lowest: number;
}

/**
 * What is known of loose pieces that all sleep where nothing that moves can reach them; else null.
 * @param space what they are stepped in
 * @param handles what it holds
 * @param world the course made ready
 * @param s the state, as it is after a step
 */
export function stillOf(space: Space, handles: Handles, world: World, s: RunState): Still | null {
  let lowest = Infinity;
  for (const handle of handles.loose) {
    const body = space.getRigidBody(handle);
    if (!body.isEnabled()) continue;
    if (!body.isSleeping()) return null;
    lowest = Math.min(lowest, body.worldCom().y);
  }
  return isExposed(world, s) ? null : { surroundings: surroundingsOf(world, s).slice(), lowest };
}

/**
 * Whether a tick leaves what lay still as it is.
 * @param still what lay still, and by what
 * @param world the course made ready
 * @param s the state, in the tick
 * @param sunk how far below the tide a middle may be, m
 */
export const staysStill = (still: Still, world: World, s: RunState, sunk: number): boolean =>
  still.lowest >= tideOf(s) - sunk &&
  isClear(world, s) &&
  areAlike(still.surroundings, surroundingsOf(world, s));
