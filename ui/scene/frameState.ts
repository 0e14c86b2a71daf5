import { STILL } from '@/core/motion';
import type { PoseLookup } from '@/core/run';

/** What the scene reads of the moment that is shown; changed in place, frame by frame. */
export interface FrameState {
  /** Tick, between two ticks in a run. */
  tick: number;
  /** Where everything that moves is. */
  posing: PoseLookup;
  /** Ids of what is not to be seen: gathered, given way, open, hidden or broken. */
  gone: ReadonlySet<string>;
  /** Whether pickups turn. */
  lively: boolean;
}

const AT_REST = { whole: STILL, part: STILL };

/** Everything where it rests. */
export const restingMoment = (lively = false): FrameState => ({
  tick: 0,
  posing: () => AT_REST,
  gone: new Set(),
  lively,
});
