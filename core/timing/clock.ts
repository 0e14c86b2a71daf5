import { composePoses, type Motion, type Pose, poseAt, STILL } from '../motion';
import type { Course, EffectKind } from '../course';
import type { World } from '../run';

/** The motions of a mover, by its place in the world, and of what carries it; none of none. */
export function motionsOver(world: World, mover: number): Motion[] {
  const motions: Motion[] = [];
  for (let at = mover; at >= 0; at = world.movers[at].parent)
    motions.push(...world.movers[at].motions);
  return motions;
}

/** Whether a mover, and all that carries it, goes by a clock and by nothing that a run decides. */
export function goesByClock(world: World, mover: number): boolean {
  for (let at = mover; at >= 0; at = world.movers[at].parent) {
    const { driven, loose } = world.movers[at];
    if (driven || loose) return false;
  }
  return true;
}

/** The pose of a mover that goes by a clock when that, and the clock of all that carries it, has got to a tick. */
export function poseOnClock(world: World, mover: number, tick: number): Pose {
  if (mover < 0) return STILL;
  const { motions, parent } = world.movers[mover];
  return motions.reduce(
    (pose, motion) => composePoses(pose, poseAt(motion, tick)),
    poseOnClock(world, parent, tick),
  );
}

/** What links do to pieces that one may have to wait for. */
const WAITED_FOR: ReadonlySet<EffectKind> = new Set(['show', 'hide', 'open', 'shut']);

/**
 * The seconds between two times at which links on the beat show, hide, open or shut each piece, by its place in the
 * world.
 */
export function beatPeriods({ links = [] }: Course, world: World): ReadonlyMap<number, number[]> {
  const placeOf = new Map(world.pieces.map(({ id }, place) => [id, place]));
  const periods = new Map<number, number[]>();
  for (const { cue, effects } of links) {
    if (cue.kind !== 'beat') continue;
    for (const { kind, pieces = [] } of effects) {
      if (!WAITED_FOR.has(kind)) continue;
      for (const id of pieces) {
        const place = placeOf.get(id);
        if (place === undefined) continue;
        periods.set(place, [...(periods.get(place) ?? []), (cue.count ?? 1) * world.beat.seconds]);
      }
    }
  }
  return periods;
}
