import { type Emit, NO_INPUT, type RunState, tideOf } from '../state';
import type { Vec3 } from '../../geometry';
import { DT, type World } from '../world';
import { tick } from './tick';

/** What of a state is the runner's own: put back while it is held. */
const RUNNERS_OWN = [
  ...(['x', 'y', 'z', 'vx', 'vy', 'vz', 'heading', 'fx', 'fy', 'fz', 'ground'] as const),
  ...(['gx', 'gy', 'gz', 'baseY', 'air', 'press', 'coyote', 'buffer', 'jumpHeld'] as const),
  ...(['rising', 'airJumps', 'wallTick', 'wallX', 'wallZ', 'drop', 'dropTick', 'rest'] as const),
] as const;

/** What is besides untouched by all that a flying runner passes. */
const FLOWN_PAST = ['falls', 'finish', 'over', 'snapshot', 'portal', 'portalTick'] as const;

type Kept<K extends keyof RunState> = { [Key in K]: RunState[Key] };
const keptOf = <K extends keyof RunState>(s: RunState, keys: readonly K[]): Kept<K> =>
  Object.fromEntries(keys.map((key) => [key, s[key]])) as Kept<K>;

/** How a runner stood, to be held there. */
export type HeldRunner = Kept<(typeof RUNNERS_OWN)[number]>;

/** How the runner of a state stands. */
export const heldRunner = (s: RunState): HeldRunner => keptOf(s, RUNNERS_OWN);

/**
 * One tick in which the world goes on and the runner stays as it was held.
 * @param world the course made ready
 * @param s the state, which it changes
 * @param held how the runner stands
 * @param emit is told what happened, also to the runner
 */
export function tickHeld(world: World, s: RunState, held: HeldRunner, emit: Emit): void {
  tick(world, s, NO_INPUT, emit);
  Object.assign(s, held);
}

/** How far above the tide a flight stays, m. */
const OVER_TIDE = 0.5;

/**
 * One tick of a flight: the world goes on, the runner goes through all of it where it is told to. It is not hurt,
 * put back or at the goal by anything it passes; what it gathers and passes counts.
 * @param world the course made ready; `unharmed`
 * @param s the state, which it changes
 * @param speed of the flight, m/s in the world
 * @param emit is told what happened
 */
export function tickFlown(world: World, s: RunState, speed: Readonly<Vec3>, emit: Emit): void {
  const held = heldRunner(s);
  const past = keptOf(s, FLOWN_PAST);
  // Nothing is to be gone back to.
  s.snapshot = null;
  tick(world, s, NO_INPUT, emit);
  Object.assign(s, held, past);
  s.x += speed[0] * DT;
  s.y = Math.max(tideOf(s) + OVER_TIDE, s.y + speed[1] * DT);
  s.z = world.lane ?? s.z + speed[2] * DT;
  s.vx = 0;
  s.vy = 0;
  s.vz = 0;
  s.ground = -1;
}
