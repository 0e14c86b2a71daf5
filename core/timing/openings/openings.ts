import type { Course } from '../../course';
import {
  buildWorld,
  cloneState,
  heldRunner,
  NO_INPUT,
  OffTape,
  type Run,
  type Emit,
  type RunEvent,
  type RunState,
  tapedState,
  tick,
  tickHeld,
  type World,
} from '../../run';
import { TICKS_PER_SECOND } from '../../motion';
import { isMishap } from '../mishap';
import { inputAt, pressedOf, type Pressed } from '../pressed';
import { standing } from '../trace';
import { type Passage, type PassageKind, passagesOf, ticksOfPeriod } from './passages';

/** Ticks between two arrivals that are tried. */
export const OPENING_STEP = 2;
/** How near to where the run then stood one has to stand, m. */
const NEAR = 1;

/** When one may come by something that moves. */
export interface Opening {
  readonly piece: string;
  readonly kind: PassageKind;
  /** Whether its clock comes round, or it comes and goes by what happens once. */
  readonly clock: Passage['clock'];
  /** Seconds of its clock, or after the run came, that were tried. */
  readonly period: number;
  /** The tick at which the run set out to pass it. */
  readonly from: number;
  /** For arrivals so many steps later than the run's whether one passes. */
  readonly passable: readonly boolean[];
  /** The part of that time that is passable. */
  readonly share: number;
  /** How much earlier and later than the run one may come, s; of what happens once only later arrivals are tried. */
  readonly early: number;
  readonly late: number;
  /** The longest time it is shut, s. */
  readonly longestWait: number;
}

/**
 * When one may come by each mover on the way of a run: held at the last safe stand before it while the world goes
 * on, then the inputs as they were to the next safe ground. What carries the runner has two: getting on, and getting
 * off from where the runner last rested on it.
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
  const { piece, kind, clock, period, from, state } = passage;
  const goal = arrival(world, pressed, cloneState(state), passage).state;
  const steps = Math.max(1, Math.ceil(ticksOfPeriod(passage) / OPENING_STEP));
  const waits = waitsOf(world, passage);
  const passable: boolean[] = [];
  for (let step = 0; step < steps; step++) {
    const tried = arrivalAt(world, pressed, passage, waits, step);
    passable.push(tried !== null && tried.well && alike(world, passage, tried.state, goal));
  }
  return { piece, kind, clock, period, from, passable, ...figuresOf(passable, clock) };
}

/** A world that waits at the stand before a passage: how it is after so many steps, asked for in their order. */
type Wait = (step: number) => { readonly state: RunState; readonly hurt: boolean };

function waitFrom(state: RunState, next: (state: RunState, hear: Emit) => void): Wait {
  let at = 0;
  let hurt = false;
  let off: unknown = null;
  const hear: Emit = (event) => (hurt ||= isStopped(event));
  return (step) => {
    // A tick that was broken off has left it somewhere in between.
    if (off) throw off as Error;
    try {
      for (; at < step * OPENING_STEP; at++) next(state, hear);
    } catch (error) {
      off = error;
      throw error;
    }
    return { state, hurt };
  };
}

/** The world that waits, as often as there are ways to go on from it: first what takes the least time. */
function waitsOf(world: World, { kind, state }: Passage): Wait[] {
  const held = heldRunner(state);
  // On what carries it the runner goes along.
  const next = (s: RunState, hear: Emit) =>
    kind === 'off' ? tick(world, s, NO_INPUT, hear) : tickHeld(world, s, held, hear);
  const stepped = waitFrom(cloneState(state), next);
  if (world.loose.length === 0) return [stepped];
  return [
    waitFrom(
      tapedState(world, state, (lead) => next(lead, () => {})),
      next,
    ),
    stepped,
  ];
}

/** What comes of setting out so many steps later; null where the runner is put back as it waits. */
function arrivalAt(
  world: World,
  pressed: Pressed,
  passage: Passage,
  waits: readonly Wait[],
  step: number,
): ReturnType<typeof arrival> | null {
  for (const wait of waits) {
    try {
      const { state, hurt } = wait(step);
      return hurt ? null : arrival(world, pressed, cloneState(state), passage);
    } catch (error) {
      // It came near what is loose: that has to be stepped for it alone.
      if (!(error instanceof OffTape)) throw error;
    }
  }
  throw new Error('Nothing is off a world that is stepped.');
}

/** The inputs of a passage played from a state. */
function arrival(world: World, pressed: Pressed, state: RunState, { from, to }: Passage) {
  let well = true;
  for (let at = from; at < to && well && state.finish < 0 && !state.over; at++) {
    tick(world, state, inputAt(pressed, at), (event) => (well &&= !isStopped(event)));
  }
  return { well, state };
}

/** Put back by whatever, one has not come by. */
const isStopped = (event: RunEvent): boolean => isMishap(event) || event.kind === 'respawn';

/** Whether one came to where the run came to, and stands as it did; of what carries, onto it. */
function alike(world: World, { piece, kind }: Passage, a: RunState, goal: RunState): boolean {
  if (kind === 'on') {
    const ground = a.ground >= 0 ? world.colliders[a.ground] : null;
    return ground !== null && world.pieces[ground.piece].id === piece;
  }
  if (goal.finish >= 0) return a.finish >= 0;
  const [dx, dy, dz] = [a.x - goal.x, a.y - goal.y, a.z - goal.z];
  const stands = standing(world);
  return dx * dx + dy * dy + dz * dz < NEAR * NEAR && (!stands(goal) || stands(a));
}

/** What is told of the arrivals that pass, the first being the run's own. */
export function figuresOf(
  passable: readonly boolean[],
  clock: Passage['clock'] = 'round',
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
  // Twice round where it comes round, so that what is shut over the clock's end is seen whole.
  for (let i = 0; i < (clock === 'round' ? 2 : 1) * count; i++) {
    shut = passable[i % count] ? 0 : shut + 1;
    longest = Math.max(longest, shut);
  }
  return {
    share: passable.filter(Boolean).length / count,
    early: clock === 'round' ? seconds(run(-1)) : 0,
    late: seconds(run(1)),
    longestWait: seconds(Math.min(count, longest)),
  };
}

/**
 * An opening when its mover is earlier by some seconds and all else stays: what was open so much later is open now.
 * A clock that was cut off is taken to come round as well; of what happens once nothing is known but how it was.
 */
export function shiftedOpening(opening: Opening, seconds: number): Opening | null {
  const { clock, passable } = opening;
  if (clock === 'once') return seconds === 0 ? opening : null;
  const count = passable.length;
  const by = Math.round((seconds * TICKS_PER_SECOND) / OPENING_STEP);
  const shifted = passable.map((_, i) => passable[(((i + by) % count) + count) % count]);
  return { ...opening, passable: shifted, ...figuresOf(shifted) };
}
