import type { Course } from '../../course';
import { TICKS_PER_SECOND } from '../../motion';
import {
  cloneState,
  type Input,
  initialState,
  type Run,
  type RunEvent,
  type RunState,
  tick,
  type World,
} from '../../run';
import { isMishap } from '../mishap';
import { playTo, type Pressed, pressedOf, stretchesOf } from '../pressed';
import { Steerer } from '../steer';
import { standing, traceOf, type RunTrace } from '../trace';
import { widest } from '../widest';

/** A press of the button: its first tick, and that after its last. */
export interface Press {
  readonly on: number;
  readonly off: number;
}

/** By how many ticks a press may come early and late and what follows is still reached. */
export interface PressWindow extends Press {
  readonly early: number;
  readonly late: number;
}

/** Most ticks a press is tried early or late. */
const MOST = 60;
/** Ticks before a press at which trying it begins, and on ground after it that make a landing. */
const [BEFORE, FIRM] = [MOST + 1, 12];
/** How far from its way a landing may be, m. */
const NEAR = 1.25;
/** How often presses are moved towards the middle by half as much when the run no longer gets there. */
const HALVINGS = 4;

/** The presses of a run, in their order. */
export function pressesOf({ jump }: Pressed): Press[] {
  const presses: Press[] = [];
  for (let at = 0; at < jump.length; at++) {
    if (jump[at] === 0 || (at > 0 && jump[at - 1] === 1)) continue;
    let off = at;
    while (off < jump.length && jump[off] === 1) off++;
    presses.push({ on: at, off });
  }
  return presses;
}

/**
 * What is pressed when one press comes so many ticks later; it runs into none beside it.
 * @param pressed what is pressed, tick by tick
 * @param presses the presses of it, in their order
 * @param which of them
 * @param by ticks, below nothing for earlier
 */
export function withMoved(
  pressed: Pressed,
  presses: readonly Press[],
  which: number,
  by: number,
): Pressed {
  const jump = pressed.jump.slice();
  const { on, off } = presses[which];
  const free = which > 0 ? presses[which - 1].off + 1 : 0;
  const end = (presses[which + 1]?.on ?? jump.length + 1) - 1;
  jump.fill(0, on, off);
  const from = Math.min(end - 1, Math.max(free, on + by));
  jump.fill(1, from, Math.min(end, Math.max(from + 1, off + by)));
  return { ...pressed, jump };
}

/**
 * The window of one of a run's presses: how early and how late it may come, steered along the run's way.
 * @param world the course made ready
 * @param run the run
 * @param trace what it left
 * @param which of its presses
 */
export function pressWindow(world: World, run: Run, trace: RunTrace, which: number): PressWindow {
  const pressed = pressedOf(run);
  const presses = pressesOf(pressed);
  const press = presses[which];
  const state = initialState(world, run.seed, run.start);
  const from = Math.max(0, press.on - BEFORE);
  playTo(world, state, pressed, from);
  const until = landingAfter(trace, press.off);
  const lands = (by: number): boolean =>
    reaches(world, cloneState(state), trace, withMoved(pressed, presses, which, by), until);
  return { ...press, early: widest(MOST, (by) => lands(-by)), late: widest(MOST, lands) };
}

/** The tick by which a runner stands firm again after a press. */
function landingAfter({ ground }: RunTrace, off: number): number {
  let firm = 0;
  let left = false;
  for (let at = off; at < ground.length; at++) {
    left ||= ground[at] === 0;
    firm = ground[at] === 1 ? firm + 1 : 0;
    if (firm >= FIRM && (left || at - off > MOST)) return at;
  }
  return ground.length - 1;
}

/** Whether a run steered along its way is by it at a tick, with nothing having gone wrong, or has got there. */
function reaches(
  world: World,
  state: RunState,
  line: RunTrace,
  pressed: Pressed,
  until: number,
): boolean {
  const { path, heading, speed } = line;
  const steerer = new Steerer(world.runner, { path, heading, speed, pressed }, state.tick);
  const stands = standing(world);
  let well = true;
  const heard = (event: RunEvent) => {
    if (isMishap(event)) well = false;
  };
  // Who pressed late lands late: it may stand a while after the run it is held against did.
  while (well && state.finish < 0 && !state.over && state.tick < until + MOST) {
    if (state.tick >= until && stands(state)) break;
    tick(world, state, steerer.input(state, state.tick), heard);
  }
  if (state.finish >= 0) return well;
  const i = 3 * Math.min(path.length / 3 - 1, state.tick);
  const [dx, dy, dz] = [path[i] - state.x, path[i + 1] - state.y, path[i + 2] - state.z];
  return well && stands(state) && dx * dx + dy * dy + dz * dz < NEAR * NEAR;
}

/**
 * A run with its presses moved to the middle of their windows one after the other, each time steered along its way
 * to the end: one that is pressed at the edge of its windows says more of itself than of the course. A press stays
 * where it is when the run would no longer get there.
 *
 * @param course the course as it was run
 * @param world the course made ready
 * @param run a run that got there
 */
export function centredRun(course: Course, world: World, run: Run): Run {
  let best = run;
  let trace = traceOf(course, run, world);
  const { falls } = trace.result;
  const count = pressesOf(pressedOf(run)).length;
  for (let which = 0; which < count; which++) {
    const { early, late } = pressWindow(world, best, trace, which);
    const wanted = (late - early) / 2;
    for (let part = 1, i = 0; i < HALVINGS; i++, part /= 2) {
      const by = Math.trunc(part * wanted);
      if (by === 0) break;
      const moved = steeredThrough(world, best, trace, which, by);
      if (!moved || pressesOf(pressedOf(moved)).length !== count) continue;
      const next = traceOf(course, moved, world);
      if (!next.result.finished || next.result.falls > falls) continue;
      best = moved;
      trace = next;
      break;
    }
  }
  return best;
}

/** A run with one press moved, steered along its way to the end; null where it does not get there. */
function steeredThrough(
  world: World,
  run: Run,
  { path, heading, speed }: RunTrace,
  which: number,
  by: number,
): Run | null {
  const meant = pressedOf(run);
  const pressed = withMoved(meant, pressesOf(meant), which, by);
  const steerer = new Steerer(world.runner, { path, heading, speed, pressed });
  const state = initialState(world, run.seed, run.start);
  const inputs: Input[] = [];
  const most = pressed.x.length + TICKS_PER_SECOND;
  while (state.finish < 0 && !state.over && state.tick < most) {
    const input = steerer.input(state, state.tick);
    inputs.push(input);
    tick(world, state, input, () => {});
  }
  if (state.finish < 0) return null;
  return { ...run, inputs: stretchesOf(inputs), claim: state.finish };
}
