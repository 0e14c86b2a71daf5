import type { Effect } from '../../../../course';
import { FOREVER, ticksOf, type LinkIndex, type World } from '../../../world';
import type { EmitEvent, RunState } from '../../../state';
import type { TickEvents } from '../../tickEvents';

/** What an effect may read and change: the run within one tick. */
export interface EffectContext {
  readonly world: World;
  readonly s: RunState;
  readonly index: LinkIndex;
  readonly happened: TickEvents;
  readonly say: EmitEvent;
}

/**
 * Does what an effect says, to pieces by their places.
 * @returns true when the tick ends with it
 */
export type ApplyEffect = (
  context: EffectContext,
  effect: Effect,
  pieces: readonly number[],
) => boolean | void;

/** The tick until which something holds that is to hold for so many seconds, or for good. */
export const until = (s: RunState, seconds: number | undefined): number =>
  seconds ? s.tick + ticksOf(seconds) : FOREVER;
