import type { RunnerKind } from '../../course';
import type { Runner, World } from '../world';
import type { EmitEvent, Input, RunState, Trajectory } from '../state';
import { tickCart } from './cart';
import { tickHopper } from './hopper';
import { tickFlick, tickRoller } from './roller';

// How each kind of runner moves.
export { speedOf, velocityOf } from './impact';
export { leaveGround } from './move';
export { moveWithPlatform, resolvePushers } from './ride';
export { mayStrike } from './roller';
export { LIP } from './cart';
export { AIR_TICKS } from './rolling';
export { gravityOf, setAlong, upOf } from './up';

/** Moves a runner on by one tick; `way` is given each leg of it. */
type TickRunner<R extends Runner> = (
  world: World,
  s: RunState,
  runner: R,
  input: Input,
  way: Trajectory,
  say: EmitEvent,
) => void;

const TICK: { readonly [K in RunnerKind]: TickRunner<Extract<Runner, { kind: K }>> } = {
  hopper: tickHopper,
  roller: tickRoller,
  cart: tickCart,
  flick: tickFlick,
};

/**
 * Moves the course's runner on by one tick, as its kind does.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param input what the controls stand at
 * @param way is given each leg of the way made
 * @param say is told what happened
 */
export const tickRunner = (
  world: World,
  s: RunState,
  input: Input,
  way: Trajectory,
  say: EmitEvent,
): void => (TICK[world.runner.kind] as TickRunner<Runner>)(world, s, world.runner, input, way, say);
