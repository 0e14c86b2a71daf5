import { commonPeriod, commonSeconds, TICKS_PER_SECOND } from '../../motion';
import { beginningOfRun, cloneState, type Run, type RunState, tick, type World } from '../../run';
import type { Course } from '../../course';
import { type Comings, comingsOf, motionsOver } from '../clock';
import { inputAt, playTo, pressedOf } from '../pressed';

/** How far from a mover's reach one is safe of it, m. */
const CLEAR = 0.5;
/** Ticks on still ground that make a safe stand. */
const FIRM = 12;
/** Longest time a mover is looked at, and how long what comes and goes but once, s. */
const MOST_SECONDS = 20;

/** How one comes past something that moves: by it, or, where it carries, onto it and off it again. */
export type PassageKind = 'by' | 'on' | 'off';

/** A stretch of a run by something that moves, or comes and goes: from a stand before it to one after it. */
export interface Passage {
  /** The piece that moves, or comes and goes. */
  readonly piece: string;
  readonly kind: PassageKind;
  readonly clock: Comings['clock'];
  /** Seconds until it and all that carries it stand as they did, at most 20; 20 where they never do. */
  readonly period: number;
  /** The ticks of the stands, and how the run stood at the first. */
  readonly from: number;
  readonly to: number;
  readonly state: RunState;
}

/** What a run left that passages are found by, tick by tick. */
interface Seen {
  readonly path: readonly (readonly [number, number, number])[];
  /** Whether the runner had stood on still ground for a while. */
  readonly firm: readonly boolean[];
  /** The place of the piece that carried it, or -1; and whether it rested on it. */
  readonly carrier: readonly number[];
  readonly rests: readonly boolean[];
  /** How the run stood every KEPT ticks, to go on from. */
  readonly states: readonly RunState[];
}

/** Ticks between two states that are kept. */
const KEPT = 60;
/** Slower than this over what carries it the runner rests on it, m/s. */
const REST = 0.05;

/** Where the runner stood, and states of it now and then to begin from. */
function seen(course: Course, world: World, run: Run, comings: ReadonlyMap<number, Comings>): Seen {
  const { state } = beginningOfRun(course, world, run);
  const pressed = pressedOf(run);
  const path: [number, number, number][] = [[state.x, state.y, state.z]];
  const firm = [true];
  const carrier = [-1];
  const rests = [false];
  const states = [cloneState(state)];
  let since = FIRM;
  while (state.tick < pressed.x.length && state.finish < 0 && !state.over) {
    tick(world, state, inputAt(pressed, state.tick), () => {});
    const ground = state.ground >= 0 ? world.colliders[state.ground] : null;
    // What moves, gives way or comes and goes is no place to wait on.
    const still = ground && ground.mover < 0 && ground.gate < 0 && !comings.has(ground.piece);
    since = still ? since + 1 : 0;
    path.push([state.x, state.y, state.z]);
    firm.push(since >= FIRM);
    carrier.push(ground && ground.mover >= 0 ? ground.piece : -1);
    rests.push(Math.hypot(state.vx, state.vy, state.vz) < REST);
    if (path.length - 1 === states.length * KEPT) states.push(cloneState(state));
  }
  return { path, firm, carrier, rests, states };
}

/**
 * The box about all places what of a piece moves may take, or about all of it where it comes and goes; null where that
 * is nothing that touches.
 */
function reachOf(
  world: World,
  piece: number,
  comesAndGoes: boolean,
): { low: number[]; high: number[] } | null {
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  for (const c of world.colliders) {
    if (c.piece !== piece || c.isDynamic || (c.mover < 0 && !comesAndGoes)) continue;
    if (c.role !== 'solid' && c.role !== 'hazard') continue;
    for (let axis = 0; axis < 3; axis++) {
      low[axis] = Math.min(low[axis], c.low[axis]);
      high[axis] = Math.max(high[axis], c.high[axis]);
    }
  }
  return low[0] === Infinity ? null : { low, high };
}

/**
 * The stretches of a run by what moves on its way, the first by each piece.
 * @param course the course as it was run
 * @param world the course made ready
 * @param run the run
 */
export function passagesOf(course: Course, world: World, run: Run): Passage[] {
  const comings = comingsOf(course, world);
  const left = seen(course, world, run, comings);
  const { path, firm } = left;
  const { radius, half } = world.bodies[0];
  const height = 2 * (radius + half);
  const found: Omit<Passage, 'state'>[] = [];
  world.pieces.forEach(({ id }, piece) => {
    const reach = reachOf(world, piece, comings.has(piece));
    if (!reach) return;
    const { clock, periods } = comings.get(piece) ?? { clock: 'round', periods: [] };
    const period = clock === 'once' ? MOST_SECONDS : secondsRound(world, piece, periods);
    // What chases or drifts goes by no clock.
    if (period === 0) return;
    const by = (at: number) =>
      path[at].every((v, axis) => {
        const [below, above] = axis === 1 ? [height, 0] : [radius, radius];
        return v > reach.low[axis] - CLEAR - below && v < reach.high[axis] + CLEAR + above;
      });
    const first = path.findIndex((_, at) => by(at));
    if (first < 0) return;
    let from = first;
    while (from > 0 && !(firm[from] && !by(from))) from--;
    let to = first;
    while (to < path.length - 1 && !(firm[to] && !by(to))) to++;
    found.push(...rideOf(left, piece, { piece: id, kind: 'by', clock, period, from, to }));
  });
  return withStates(left, world, run, found);
}

/** Seconds until a piece, all that carries it and its links are as they were; 0 where it does not move. */
const secondsRound = (world: World, piece: number, periods: readonly number[]): number =>
  commonSeconds(
    [
      commonPeriod(
        motionsOver(world, Math.max(world.pieceMovers[piece], world.partMovers[piece])),
        MOST_SECONDS,
      ),
      ...periods,
    ].filter((seconds) => seconds > 0),
    MOST_SECONDS,
  );

/**
 * A passage as it is: of what carries the runner getting on it is one, and getting off it, from where the runner last
 * rested on it, another.
 */
function rideOf(
  { carrier, rests }: Seen,
  piece: number,
  whole: Omit<Passage, 'state'>,
): Omit<Passage, 'state'>[] {
  const { from, to } = whole;
  let on = from;
  for (let since = 0; on <= to && since < FIRM; on++) since = carrier[on] === piece ? since + 1 : 0;
  if (on > to) return [whole];
  let off = to;
  while (off > on && !(carrier[off] === piece && rests[off])) off--;
  const boarding = { ...whole, kind: 'on', to: on } as const;
  return off > on ? [boarding, { ...whole, kind: 'off', from: off }] : [boarding];
}

/** The passages in their order, each with how the run stood when it began. */
function withStates(
  { states }: Seen,
  world: World,
  run: Run,
  found: readonly Omit<Passage, 'state'>[],
): Passage[] {
  const pressed = pressedOf(run);
  return [...found]
    .sort((a, b) => a.from - b.from)
    .map((passage) => {
      const state = cloneState(states[Math.floor(passage.from / KEPT)]);
      playTo(world, state, pressed, passage.from);
      return { ...passage, state };
    });
}

/** Ticks of a period. */
export const ticksOfPeriod = ({ period }: Pick<Passage, 'period'>): number =>
  Math.max(2, Math.round(period * TICKS_PER_SECOND));
