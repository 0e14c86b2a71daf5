import { layPieces, type PieceInHand } from '../edit';
import {
  emptyCourse,
  type Course,
  type PieceMotion,
  type RunnerKind,
  type RunnerSettings,
} from '../course';
import { applyPose, poseAt } from '../motion';
import { NO_INPUT, RUNNER_SPECS } from '.';
import type { Vec3 } from '../geometry';
import { buildWorld } from './world';
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
/** Throws a stone along x at 9 m/s that throws off what it hits. */
export const STONES: PieceInHand = {
  ...{ family: 'block', at: [-8, 0, 0], size: [1, 1, 1] },
  thrower: {
    ...{ what: 'boulder', does: 'push', speed: 9, interval: 2, size: 0.8, life: 1.8, rise: 0 },
  },
} as PieceInHand;
export const bounceOf = (kind: RunnerKind) =>
  RUNNER_SPECS[kind].compile(SETTINGS[kind] ?? {}).bounce;

/** The speed along x of a runner right after something met it, m/s; it begins at `x`, with a speed of its own. */
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

/** Ticks before it is met at which a runner is put in the way of a mover that comes along x. */
const AHEAD = 4;

/** Where the one mover of a course carries a point of it to by a tick, m. */
export function carriedTo(course: Course, p: Vec3, tick: number): Vec3 {
  const [motion] = buildWorld(course).movers.flatMap(({ motions }) => motions);
  return applyPose(poseAt(motion, tick), p);
}

/**
 * The speeds along x of a runner that a face of a mover meets at a moment, and of that face by its motion alone, m/s.
 * @param course with one mover
 * @param face the face's place along x in the course as laid, m
 * @param met the moment it meets the runner, ticks, with the part of a tick
 */
export function metBy(course: Course, face: number, met: number): { given: number; came: number } {
  const trial = new Trial(course);
  const { state: s, world } = trial;
  const body = world.bodies[0];
  const high = body.radius + body.half;
  const [motion] = world.movers.flatMap(({ motions }) => motions);
  // The point of the face that is at the runner's middle at that moment.
  const [, y, z] = applyPose(poseAt(motion, met), [face, high, 0]);
  const at = (tick: number) => applyPose(poseAt(motion, tick), [face, 2 * high - y, -z])[0];
  trial.go(NO_INPUT, Math.floor(met) - AHEAD);
  Object.assign(s, { x: at(met) + body.radius, z: 0, vx: 0, vz: 0 });
  let given = 0;
  trial.go(NO_INPUT, 2 * AHEAD, ({ vx }) => {
    given = vx;
    return vx > 0.5;
  });
  return { given, came: ((at(met + 0.01) - at(met - 0.01)) / 0.02) * 120 };
}
