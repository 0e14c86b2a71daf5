import type { Course } from '../course';
import { facingOf } from '../sight';
import {
  AIR_TICKS,
  replay,
  type Run,
  type RunFrom,
  type RunResult,
  type RunState,
  type World,
} from '../run';

/** A runner that gets farther than this in a tick was put somewhere else, m. */
export const PUT = 1;

/** All that a run left, tick by tick; the start first. */
export interface RunTrace {
  readonly result: RunResult;
  /** Foot places, x y z for each tick, m. */
  readonly path: Float64Array;
  /** Whether the runner was on ground. */
  readonly ground: Uint8Array;
  /** Speed over the ground it is on, else in the world, m/s. */
  readonly speed: Float32Array;
  /** Where it looked, degrees about y; of a cart where it pointed over the map. */
  readonly heading: Float32Array;
}

/** What says of a state whether the runner is on ground. */
export const standing = ({ runner }: World): ((s: Readonly<RunState>) => boolean) =>
  // What rolls leaves flat faces of a curve for some ticks and is on it all the same.
  runner.walks ? ({ ground }) => ground >= 0 : ({ air }) => air <= AIR_TICKS;

/**
 * Plays a run again and notes what each tick left.
 * @param course the course as it was run
 * @param run the run
 * @param world the course made ready
 * @param from where it began instead of at a start, m
 * @throws ReplayRefused when it was made on another course or by another simulation
 */
export function traceOf(course: Course, run: Run, world: World, from?: RunFrom): RunTrace {
  const stands = standing(world);
  const ticks = run.inputs.reduce((sum, [count]) => sum + count, 0);
  const ground = new Uint8Array(ticks + 1);
  const speed = new Float32Array(ticks + 1);
  const heading = new Float32Array(ticks + 1);
  const result = replay(course, run, {
    world,
    from,
    after: (s) => {
      ground[s.tick] = s.tick === 0 || stands(s) ? 1 : 0;
      speed[s.tick] = Math.sqrt(s.vx * s.vx + s.vy * s.vy + s.vz * s.vz);
      heading[s.tick] = facingOf(world.runner, s);
    },
  });
  const count = result.ticks + 1;
  return {
    result,
    path: result.path,
    ground: ground.subarray(0, count),
    speed: speed.subarray(0, count),
    heading: heading.subarray(0, count),
  };
}
