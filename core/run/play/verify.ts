import type { Course } from '../../course';
import { buildWorld, type World } from '../world';
import type { Emit, RunState } from '../state';
import { CORE_VERSION, MAX_RUN_TICKS, type Run } from './record';
import { courseHash } from './hash';
import { initialState } from './begin';
import type { Score } from './rank';
import { tick } from './tick';

/** Why a run cannot be replayed on a course. */
export class ReplayRefused extends Error {
  constructor(
    readonly reason: 'other-course' | 'other-core' | 'too-long' | 'too-heavy',
    message: string,
  ) {
    super(message);
    this.name = 'ReplayRefused';
  }
}

/**
 * Checks that a run was made on this course by this simulation.
 * @returns how many ticks its inputs last
 * @throws ReplayRefused when it was not, or is longer than any run may be
 */
export function ticksOfRun(course: Course, run: Run): number {
  if (run.core !== CORE_VERSION) {
    throw new ReplayRefused(
      'other-core',
      `The run was made by simulation ${run.core}; this is ${CORE_VERSION}.`,
    );
  }
  if (run.course !== courseHash(course)) {
    throw new ReplayRefused('other-course', 'The run was made on another version of the course.');
  }
  const total = run.inputs.reduce((sum, [ticks]) => sum + ticks, 0);
  if (total > MAX_RUN_TICKS) {
    throw new ReplayRefused('too-long', 'The run is longer than half an hour.');
  }
  return total;
}

/**
 * Plays a run's inputs from the start of a world; `after` is told of every tick.
 * @param world the course made ready
 * @param state the run’s state, which it changes
 * @param emit is told what happened
 * @param after is called after every tick
 */
export function playInputs(
  world: World,
  state: RunState,
  { inputs }: Run,
  emit: Emit,
  after: (state: RunState) => void,
): void {
  for (const [ticks, x, z, jump] of inputs) {
    const input = { x, z, jump: jump === 1 };
    for (let i = 0; i < ticks && state.finish < 0 && !state.over; i++) {
      tick(world, state, input, emit);
      after(state);
    }
  }
}

/**
 * What a run is worth, by replaying it; nothing of it is kept but that.
 * @param mayGoOn is shown every tick; once it says no, the run is refused as too heavy
 * @returns the score and the ticks it took, or null when the goal is not reached
 * @throws ReplayRefused when the run is of another course or simulation, too long or too heavy; NotRunnable
 * when the course has no start
 */
export function verifyRun(
  course: Course,
  run: Run,
  mayGoOn: (state: RunState) => boolean,
): (Score & { readonly ticks: number }) | null {
  ticksOfRun(course, run);
  const world = buildWorld(course);
  const state = initialState(world, run.seed, run.start);
  const nothing = () => {};
  playInputs(world, state, run, nothing, (now) => {
    if (!mayGoOn(now)) {
      throw new ReplayRefused(
        'too-heavy',
        'The course is too heavy: its run takes longer to check than may be.',
      );
    }
  });
  const { finish, jumps, tick: ticks } = state;
  return finish < 0 ? null : { time: finish, strokes: jumps, ticks };
}
