import type { Course } from '@/core/course';
import { TICKS_PER_SECOND } from '@/core/motion';
import { cloneState, type Film, firstTicks, stateKeys } from '@/core/run';
import type { KeptMoment } from '../../state/moments';
import { momentName } from '../runs/beginPlaces';
import type { KnownRun } from '../runs/runsKnown';

/**
 * The moment a watched run is shown at, as one that is kept.
 * @param course the course as it was run
 * @param film the run as it is watched
 * @param shown the run
 * @param at when it is kept, ms
 */
export function watchedMoment(
  course: Course,
  { world, state }: Film,
  { run, from }: KnownRun,
  at: number,
): KeptMoment {
  const last = world.checkpoints[state.checkpoint];
  const passed = last ? world.pieces[last.piece].id : null;
  return {
    at,
    name: momentName(course, passed, state.tick / TICKS_PER_SECOND),
    tick: state.tick,
    place: [state.x, state.y, state.z],
    run: firstTicks(run, state.tick),
    ...(from ? { from } : {}),
    keys: stateKeys(world),
    state: cloneState(state),
  };
}
