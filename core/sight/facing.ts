import type { Runner, RunState } from '../run';

/** Where a runner faces over the map, degrees about y: its front where it has one, else where it goes. */
export const facingOf = (
  runner: Runner,
  { fx, fz, heading }: Readonly<Pick<RunState, 'fx' | 'fz' | 'heading'>>,
): number => (runner.hasFront ? (Math.atan2(-fz, fx) * 180) / Math.PI : heading);
