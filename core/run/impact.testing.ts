import { layPieces, type PieceInHand } from '../edit';
import {
  emptyCourse,
  type Course,
  type PieceMotion,
  type RunnerKind,
  type RunnerSettings,
} from '../course';
import { NO_INPUT, RUNNER_SPECS } from '.';
import { Trial } from './testing';

// A floor, walls that come, and runners put before them at every phase of a tick.

export const KINDS: readonly RunnerKind[] = ['hopper', 'roller', 'cart', 'flick'];
export const SETTINGS: Partial<Record<RunnerKind, RunnerSettings>> = {
  roller: { friction: 0 },
  flick: { friction: 0 },
};
export const PHASES = Array.from({ length: 48 }, (_, i) => i / 48);
export const field = (kind: RunnerKind, ...pieces: PieceInHand[]): Course =>
  layPieces(
    { ...emptyCourse('Impact', 'free'), runner: { kind, settings: SETTINGS[kind] }, tide: -90 },
    [
      { family: 'start', at: [0, 0, 0] },
      { family: 'slab', at: [0, -1, 0], size: [190, 1, 190] },
      ...pieces,
    ],
  );
export const wall = (motion: PieceMotion, change: Partial<PieceInHand> = {}): PieceInHand => ({
  ...{ family: 'slab', at: [-6, 0.02, 0], size: [1, 3, 6], motion: [motion] },
  ...change,
});
export const bounceOf = (kind: RunnerKind) =>
  RUNNER_SPECS[kind].compile(SETTINGS[kind] ?? {}).bounce;

/** How fast a runner goes along x right after something met it; put so far along x, at a speed of its own. */
export function after(course: Course, x: number, own = 0, ticks = 400): number {
  const trial = new Trial(course).go(NO_INPUT, 1);
  const { state: s } = trial;
  Object.assign(s, { x, vx: own });
  let before = s.vx;
  for (let i = 0; i < ticks; i++) {
    trial.go(NO_INPUT, 1);
    const now = s.vx;
    // A hopper's own legs take some of it within the tick.
    if (Math.abs(now - before) > 0.5) return now;
    before = now;
  }
  return before;
}
