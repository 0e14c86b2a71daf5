import type { World } from '../world';
import type { RunState } from '../state';
import { createPhysicsWorld, type Handles } from './space';
import { surroundingsOf } from './surroundings';

/** A space as a course was laid out in it, to be made from as often as it is wanted. */
export interface LaidOut {
  readonly snapshot: Uint8Array;
  readonly handles: Handles;
}

// To lay out a course takes forty times as long as to make its space from a snapshot, and attempts all begin alike.
const lastByWorld = new WeakMap<World, LaidOut & { readonly key: string }>();

/** A course as it stands at the state's tick; the runner is somewhere. */
export function laidOut(world: World, s: RunState): LaidOut {
  const key = `${s.tick} ${s.size} ${surroundingsOf(world, s).join(' ')}`;
  let last = lastByWorld.get(world);
  if (last?.key !== key) {
    const { space, handles } = createPhysicsWorld(world, s);
    last = { snapshot: space.takeSnapshot(), handles, key };
    space.free();
    lastByWorld.set(world, last);
  }
  return last;
}
