import { TICKS_PER_SECOND } from '../../motion';
import type { Course } from '../../course';
import { buildWorld, type World } from '../world';
import type { RunEvent, RunState } from '../state';
import type { Run } from './record';
import { roundsOf, splitsOf, type Split } from './splits';
import { beginningOfRun, type RunFrom } from './from';
import { playInputs, ticksOfRun } from './verify';

/** What a replayed run turned out to be. */
export interface RunResult {
  readonly finished: boolean;
  /** Seconds to the goal; where it was not reached, to the end of the inputs. */
  readonly time: number;
  readonly ticks: number;
  readonly splits: readonly Split[];
  /** Of laps, the seconds each round took. */
  readonly rounds: readonly number[];
  readonly gathered: number;
  readonly pickups: number;
  readonly falls: number;
  readonly jumps: number;
  /** Worth of all that was gathered. */
  readonly worth: number;
  /** Of a course in legs, the strokes and seconds each took. */
  readonly legs: readonly { readonly strokes: number; readonly time: number }[];
  readonly events: readonly RunEvent[];
  /** Foot places, x y z for each tick, the start first, m. */
  readonly path: Float64Array;
  /**
   * Hash of every place in the path and of where what is driven or loose has got to: equal only if the run
   * is the same bit for bit.
   */
  readonly poses: string;
}

/** What a replay may be told besides the course and the run. */
export interface ReplayOptions {
  /** The course made ready, if the caller has it already. */
  readonly world?: World;
  /** Where the run began instead of at a start, m. */
  readonly from?: RunFrom;
  /** Is shown the first state and that after every tick; it is not to change them. */
  readonly after?: (state: Readonly<RunState>) => void;
  /** Is told each event, with the state as it is while the tick goes on; it is not to change it. */
  readonly heard?: (state: RunState, event: RunEvent) => void;
}

/**
 * Plays a run's inputs on a course again.
 * @param course the course
 * @param run the run
 * @param options what else is known of it
 * @throws ReplayRefused when the run was made on another course or by another simulation
 */
export function replay(course: Course, run: Run, options: ReplayOptions = {}): RunResult {
  const total = ticksOfRun(course, run);
  const { from, after = () => {}, heard = () => {} } = options;
  const begun = beginningOfRun(course, options.world ?? buildWorld(course), run, from);
  const { world, state } = begun;
  const events: RunEvent[] = [];
  const path = new Float64Array(3 * (total + 1));
  path.set([state.x, state.y, state.z]);
  after(state);
  playInputs(
    world,
    state,
    run,
    (event) => {
      events.push(event);
      heard(state, event);
    },
    (now) => {
      const { tick, x, y, z } = now;
      path[3 * tick] = x;
      path[3 * tick + 1] = y;
      path[3 * tick + 2] = z;
      after(now);
    },
  );
  return summarise(world, state, events, path.subarray(0, 3 * (state.tick + 1)));
}

/**
 * What a run turned out to be, from where it ended and what happened in it.
 * @param world the course made ready
 * @param state how it ended
 * @param events all that happened
 * @param path places of the foot, three numbers a tick, m
 */
export function summarise(
  world: World,
  state: RunState,
  events: readonly RunEvent[],
  path: Float64Array,
): RunResult {
  return {
    finished: state.finish >= 0,
    time: state.finish >= 0 ? state.finish : state.tick / TICKS_PER_SECOND,
    ticks: state.tick,
    splits: splitsOf(
      events,
      (id) => world.checkpoints.find(({ piece }) => world.pieces[piece].id === id)!.number,
    ),
    rounds: roundsOf(events),
    gathered: state.gatheredCount,
    pickups: world.pickups.length,
    falls: state.falls,
    jumps: state.jumps,
    worth: state.worth,
    legs: legsOf(world, state),
    events,
    path,
    poses: poseHash(path, state.dynamicPoses),
  };
}

/** Strokes and times of a course's legs. The last ends within its tick, so that all add up to the whole. */
function legsOf(world: World, { legs, finish }: RunState): RunResult['legs'] {
  const ticks = (leg: number) => legs[2 * leg + 1];
  const last = world.legs - 1;
  let before = 0;
  for (let i = 0; i < last; i++) before += ticks(i);
  return Array.from({ length: world.legs }, (_, i) => ({
    strokes: legs[2 * i],
    time:
      i === last && finish >= 0 ? finish - before / TICKS_PER_SECOND : ticks(i) / TICKS_PER_SECOND,
  }));
}

/** FNV-1a (Fowler, Noll and Vo, 1991) over the 64-bit patterns of the numbers, as hexadecimal. */
export function poseHash(...lists: readonly Float64Array[]): string {
  let hash = 0x811c9dc5;
  for (const numbers of lists) {
    const words = new Uint32Array(numbers.slice().buffer);
    for (let i = 0; i < words.length; i++) hash = Math.imul(hash ^ words[i], 0x01000193) >>> 0;
  }
  return hash.toString(16).padStart(8, '0');
}
