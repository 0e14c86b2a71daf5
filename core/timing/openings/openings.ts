import type { Course } from '../../course';
import {
  buildWorld,
  cloneState,
  NO_INPUT,
  type Run,
  type RunEvent,
  type RunState,
  tick,
  type World,
} from '../../run';
import { TICKS_PER_SECOND } from '../../motion';
import { isMishap } from '../mishap';
import { inputAt, pressedOf, type Pressed } from '../pressed';
import { standing } from '../trace';
import { type Passage, passagesOf, ticksOfPeriod } from './passages';

/** Ticks between two arrivals that are tried. */
export const OPENING_STEP = 2;
/** How near to where the run then stood one has to stand, m. */
const NEAR = 1;

/** When one may come by something that moves. */
export interface Opening {
  readonly piece: string;
  /** Seconds of its clock that were tried. */
  readonly period: number;
  /** The tick at which the run set out to pass it. */
  readonly from: number;
  /** For arrivals so many steps later than the run's whether one passes. */
  readonly passable: readonly boolean[];
  /** The part of the period that is passable. */
  readonly share: number;
  /** How much earlier and later than the run one may come, s. */
  readonly early: number;
  readonly late: number;
  /** The longest time it is shut, s. */
  readonly longestWait: number;
}

/** What of a state is the runner's own: put back while it is held. */
const RUNNERS_OWN = [
  ...(['x', 'y', 'z', 'vx', 'vy', 'vz', 'heading', 'fx', 'fy', 'fz', 'ground'] as const),
  ...(['gx', 'gy', 'gz', 'baseY', 'air', 'press', 'coyote', 'buffer', 'jumpHeld'] as const),
  ...(['rising', 'airJumps', 'wallTick', 'wallX', 'wallZ', 'drop', 'dropTick', 'rest'] as const),
] as const;

/**
 * When one may come by each mover on the way of a run: held at the last safe stand before it while the world goes
 * on, then the inputs as they were to the next safe ground.
 *
 * @param course the course as it was run
 * @param run a run that passed them
 * @param progress is told the part that is done, 0 to 1
 * @param only the mover that is asked of; all of them when left out
 */
export function openingsOf(
  course: Course,
  run: Run,
  progress: (part: number) => void = () => {},
  only?: string,
): Opening[] {
  const world = buildWorld(course);
  const pressed = pressedOf(run);
  const passages = passagesOf(course, world, run).filter(
    ({ piece }) => only === undefined || piece === only,
  );
  return passages.map((passage, i) => {
    const opening = openingOf(world, pressed, passage);
    progress((i + 1) / passages.length);
    return opening;
  });
}

function openingOf(world: World, pressed: Pressed, passage: Passage): Opening {
  const { piece, period, from, to, state } = passage;
  const goal = arrival(world, pressed, cloneState(state), from, to).state;
  const steps = Math.max(1, Math.ceil(ticksOfPeriod(passage) / OPENING_STEP));
  const held = cloneState(state);
  const own = cloneState(state);
  const passable: boolean[] = [];
  let hurt = false as boolean;
  for (let step = 0; step < steps; step++) {
    const tried = !hurt && arrival(world, pressed, cloneState(held), from, to);
    passable.push(tried && tried.well && alike(world, tried.state, goal));
    for (let i = 0; i < OPENING_STEP; i++) {
      tick(world, held, NO_INPUT, (event) => (hurt ||= isStopped(event)));
      for (const key of RUNNERS_OWN) Object.assign(held, { [key]: own[key] });
    }
  }
  return { piece, period, from, passable, ...figuresOf(passable) };
}

/** The inputs of a passage played from a state. */
function arrival(world: World, pressed: Pressed, state: RunState, from: number, to: number) {
  let well = true;
  for (let at = from; at < to && well && state.finish < 0 && !state.over; at++) {
    tick(world, state, inputAt(pressed, at), (event) => (well &&= !isStopped(event)));
  }
  return { well, state };
}

/** Put back by whatever, one has not come by. */
const isStopped = (event: RunEvent): boolean => isMishap(event) || event.kind === 'respawn';

/** Whether one came to where the run came to, and stands as it did. */
function alike(world: World, a: RunState, goal: RunState): boolean {
  if (goal.finish >= 0) return a.finish >= 0;
  const [dx, dy, dz] = [a.x - goal.x, a.y - goal.y, a.z - goal.z];
  const stands = standing(world);
  return dx * dx + dy * dy + dz * dz < NEAR * NEAR && (!stands(goal) || stands(a));
}

/** What is told of the arrivals that pass; the first is the run's own, and the clock comes round. */
export function figuresOf(
  passable: readonly boolean[],
): Pick<Opening, 'share' | 'early' | 'late' | 'longestWait'> {
  const count = passable.length;
  const seconds = (steps: number) => (steps * OPENING_STEP) / TICKS_PER_SECOND;
  const run = (by: 1 | -1) => {
    let steps = 0;
    while (steps < count - 1 && passable[(((steps + 1) * by) % count) + (by < 0 ? count : 0)])
      steps++;
    return steps;
  };
  let [shut, longest] = [0, 0];
  // Twice round, so that what is shut over the clock's end is seen whole.
  for (let i = 0; i < 2 * count; i++) {
    shut = passable[i % count] ? 0 : shut + 1;
    longest = Math.max(longest, shut);
  }
  return {
    share: passable.filter(Boolean).length / count,
    early: seconds(run(-1)),
    late: seconds(run(1)),
    longestWait: seconds(Math.min(count, longest)),
  };
}

/**
 * An opening when its mover is earlier by some seconds and all else stays: what was open so much later is open now.
 * A clock that was cut off is taken to come round as well.
 */
export function shiftedOpening(opening: Opening, seconds: number): Opening {
  const { passable } = opening;
  const count = passable.length;
  const by = Math.round((seconds * TICKS_PER_SECOND) / OPENING_STEP);
  const shifted = passable.map((_, i) => passable[(((i + by) % count) + count) % count]);
  return { ...opening, passable: shifted, ...figuresOf(shifted) };
}
