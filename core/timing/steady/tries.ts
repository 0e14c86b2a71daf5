import {
  cloneState,
  initialState,
  type RunEvent,
  type RunState,
  tick,
  type World,
} from '../../run';
import { seeded } from '../../geometry';
import { TICKS_PER_SECOND } from '../../motion';
import { isMishap } from '../mishap';
import { playTo, type Pressed } from '../pressed';
import { type LineError, Steerer } from '../steer';
import type { RunTrace } from '../trace';
import { unsteady } from './unsteady';

/** Ticks after which a hand answers what the eye saw: 0.2 s. */
const DELAY = 24;
/** By how much longer than it was run a span may take, as a part and in ticks. */
const [LONGER, LATE] = [1.5, 240];

/** A part of a run from mark to mark that is tried again and again. */
export interface Span {
  /** Its first tick, and that at which its mark was passed. */
  readonly begin: number;
  readonly end: number;
  /** The mark at its end. */
  readonly mark: 'checkpoint' | 'goal';
  readonly piece: string | null;
}

/** How a try of a span ended. */
export interface TryEnd {
  readonly through: boolean;
  /** The tick of the run it ended at, and the piece that ended it, where one did. */
  readonly tick: number;
  readonly piece: string | null;
}

/** A run's spans, from the start to its first checkpoint, on to the next, and to the goal. */
export function spansOf({ result }: RunTrace): Span[] {
  const spans: Span[] = [];
  let begin = 0;
  for (const { kind, tick: at, piece } of result.events) {
    if (kind !== 'checkpoint' && kind !== 'goal') continue;
    // What is passed twice in a tick is one mark.
    if (at > begin) spans.push({ begin, end: at, mark: kind, piece: piece ?? null });
    begin = at;
  }
  return spans;
}

/**
 * How a run stood at the beginning of each of its spans.
 * @param world the course made ready
 * @param run whose chance and start are taken
 * @param pressed what was pressed, tick by tick
 * @param spans the run's spans
 */
export function spanStates(
  world: World,
  run: { seed: number; start?: number },
  pressed: Pressed,
  spans: readonly Span[],
): RunState[] {
  const state = initialState(world, run.seed, run.start);
  return spans.map(({ begin }) => {
    playTo(world, state, pressed, begin);
    return cloneState(state);
  });
}

/**
 * Tries a span once by an unsteady hand that means to do what was done, sees where it is a fifth of a second late,
 * and steers back to the line.
 *
 * @param world the course made ready
 * @param from how the run stood when the span began; it stays so
 * @param line how the run went
 * @param pressed what is meant, tick by tick
 * @param span the span
 * @param seed the same for the same try
 */
export function trySpan(
  world: World,
  from: RunState,
  line: RunTrace,
  pressed: Pressed,
  span: Span,
  seed: number,
): TryEnd {
  const { begin, end, mark, piece } = span;
  const hand = unsteady(pressed, begin, Math.min(end, pressed.x.length), seeded(seed));
  const { path, heading, speed } = line;
  const steerer = new Steerer(world.runner, { path, heading, speed, pressed: hand }, begin);
  const state = cloneState(from);
  const seen: LineError[] = [];
  const events: RunEvent[] = [];
  const limit = begin + (end - begin) * LONGER + LATE;
  while (state.tick < limit && !state.over) {
    const now = steerer.errorOf(state, state.tick);
    seen.push(now);
    const old = seen[Math.max(0, seen.length - 1 - DELAY)];
    events.length = 0;
    tick(world, state, steerer.press(seenLate(now, old)), (event) => events.push(event));
    for (const event of events) {
      if (isMishap(event)) {
        return { through: false, tick: endOf(now, span), piece: event.piece ?? null };
      }
      if (event.kind === mark && (mark === 'goal' || event.piece === piece)) {
        return { through: true, tick: end, piece: null };
      }
    }
  }
  return { through: false, tick: endOf(seen[seen.length - 1], span), piece: null };
}

/** How far off a hand takes its runner to be that saw it a fifth of a second ago: farther by as it went since. */
function seenLate(now: LineError, old: LineError): LineError {
  const seconds = DELAY / TICKS_PER_SECOND;
  return {
    at: now.at,
    x: old.x + old.vx * seconds,
    z: old.z + old.vz * seconds,
    vx: old.vx,
    vz: old.vz,
    aside: old.aside + old.speed * old.turn * seconds,
    ahead: old.ahead + old.faster * seconds,
    turn: old.turn,
    faster: old.faster,
    speed: old.speed,
    upright: now.upright,
  };
}

/** The tick of the line at which a try ended, within its span. */
const endOf = ({ at }: LineError, { begin, end }: Span): number =>
  Math.min(end - 1, Math.max(begin, at));
