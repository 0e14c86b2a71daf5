import { DRIVE_SIZE, type World } from '../world';
import { cloneState, FIELD_SIZE, LINK_SIZE, type RunState } from '../state';
import { overlapOf, resetField, standClear } from '../contact';
import { initialState } from './begin';

/** Why a run cannot go on from a state on a course that was changed since. */
export type CarryProblem =
  /** Another runner, other legs or another lane. */
  | 'other-runner'
  /** Something lies loose: where it had got to fits only the course it was in. */
  | 'loose'
  /** A checkpoint it passed or something it gathered is no more. */
  | 'marks-gone'
  /** What it stands in now is solid. */
  | 'inside';

/** The names a state's lists go by: what stood at each place of them. */
export interface StateKeys {
  readonly pieces: readonly string[];
  readonly checkpoints: readonly string[];
  readonly pickups: readonly string[];
  readonly gates: readonly string[];
  readonly movers: readonly string[];
  readonly emitters: readonly string[];
  readonly links: readonly string[];
  /** Of each mover where its numbers begin among those of what is driven, or -1. */
  readonly drives: readonly number[];
  readonly runner: string;
  readonly legs: number;
  readonly lane: number | null;
  readonly loose: boolean;
}

/** The names by which a state of a world is understood in another. */
export function stateKeys(world: World): StateKeys {
  const { pieces, movers } = world;
  const id = (place: number) => pieces[place].id;
  const gates = world.gates.map(() => '');
  world.pieceGates.forEach((gate, place) => {
    if (gate >= 0) gates[gate] = id(place);
  });
  const seen = new Map<number, number>();
  return {
    pieces: pieces.map((piece) => piece.id),
    checkpoints: world.checkpoints.map(({ piece }) => id(piece)),
    pickups: world.pickups.map(id),
    gates,
    // A piece and its moving part have each their own.
    movers: movers.map(({ piece }) => {
      const nth = seen.get(piece) ?? 0;
      seen.set(piece, nth + 1);
      return `${id(piece)} ${nth}`;
    }),
    emitters: world.emitters.map(({ piece }) => id(piece)),
    links: world.links.map((link) => link.id),
    drives: movers.map(({ drive }) => drive),
    runner: world.runner.kind,
    legs: world.legs,
    lane: world.lane,
    loose: world.loose.length > 0,
  };
}

/**
 * A state on a course that was changed since: who stood there goes on there, with all it passed, gathered and
 * opened; what has been laid since is as at the start of a run, and what was thrown is gone.
 *
 * @param from the names that go with the state
 * @param state as it was; it stays so
 * @param world the course as it is now, made ready
 * @returns the state in that world, or why there is none
 */
export function carryState(
  from: StateKeys,
  state: RunState,
  world: World,
): RunState | CarryProblem {
  const to = stateKeys(world);
  if (from.runner !== to.runner || from.legs !== to.legs || from.lane !== to.lane) {
    return 'other-runner';
  }
  if (from.loose || to.loose) return 'loose';
  const placed = new Map(to.pieces.map((name, place) => [name, place]));
  const has = (names: readonly string[], which: ArrayLike<number>) =>
    names.every((name, place) => which[place] === 0 || placed.has(name));
  if (!has(from.checkpoints, state.passed) || !has(from.pickups, state.gathered)) {
    return 'marks-gone';
  }
  const next = moved(from, state, world, to);
  return stands(world, next) ? next : 'inside';
}

/** The state with each number at the place it has in the other world. */
function moved(from: StateKeys, state: RunState, world: World, to: StateKeys): RunState {
  const fresh = initialState(world, state.seed, state.start);
  const piece = placesOf(from.pieces, to.pieces);
  const mover = placesOf(from.movers, to.movers);
  const next: RunState = {
    ...cloneState(state),
    size: world.bodies[state.size] ? state.size : 0,
    // What is stood on is found again by the next tick.
    ground: -1,
    drop: place(piece, state.drop),
    portal: place(piece, state.portal),
    checkpoint: place(placesOf(from.checkpoints, to.checkpoints), state.checkpoint),
    passed: laid(fresh.passed, state.passed, placesOf(from.checkpoints, to.checkpoints)),
    gathered: laid(fresh.gathered, state.gathered, placesOf(from.pickups, to.pickups)),
    gates: laid(fresh.gates, state.gates, placesOf(from.gates, to.gates)),
    away: laid(fresh.away, state.away, piece),
    touched: laid(fresh.touched, state.touched, piece),
    hits: laid(fresh.hits, state.hits, piece),
    watched: state.watched.map((at) => place(piece, at)).filter((at) => at >= 0),
    pairs: state.pairs.length === fresh.pairs.length ? state.pairs.slice() : fresh.pairs,
    moverFrom: laid(fresh.moverFrom, state.moverFrom, mover),
    moverAt: laid(fresh.moverAt, state.moverAt, mover),
    throws: laid(fresh.throws, state.throws, placesOf(from.emitters, to.emitters)),
    projectiles: fresh.projectiles,
    links: laid(fresh.links, state.links, placesOf(from.links, to.links), LINK_SIZE),
    mouths: state.mouths.length === fresh.mouths.length ? state.mouths.slice() : fresh.mouths,
    dynamicPoses: fresh.dynamicPoses,
    field: new Float64Array(FIELD_SIZE),
    bodies: null,
    // Kept of another world, it could not be gone back to.
    snapshot: null,
    due: state.tick,
  };
  mover.forEach((at, was) => {
    const [old, now] = [from.drives[was], at < 0 ? -1 : to.drives[at]];
    if (old < 0 || now < 0) return;
    next.dynamicPoses.set(state.dynamicPoses.subarray(old, old + DRIVE_SIZE), now);
  });
  next.gatheredCount = next.gathered.reduce((sum, at) => sum + (at > 0 ? 1 : 0), 0);
  resetField(world, next);
  return next;
}

/** Of each name of a list its place in another, or -1. */
function placesOf(from: readonly string[], to: readonly string[]): Int32Array {
  const places = new Map(to.map((name, at) => [name, at]));
  return Int32Array.from(from, (name) => places.get(name) ?? -1);
}

const place = (places: Int32Array, at: number): number => (at < 0 ? -1 : places[at]);

/** Puts what was kept of each thing at its place among others; what is new there stays as it is. */
function laid<T extends Uint8Array | Int16Array | Int32Array>(
  into: T,
  kept: T,
  places: Int32Array,
  size = 1,
): T {
  // A list that one of the worlds has no use for is empty.
  if (into.length === 0 || kept.length === 0) return into;
  places.forEach((at, was) => {
    if (at < 0) return;
    for (let i = 0; i < size; i++) into[size * at + i] = kept[size * was + i];
  });
  return into;
}

/** How deep in a solid who goes on may stand, m: it is let out of so little without anyone seeing. */
const LET_OUT = 0.05;

/** Whether a runner stands clear; where it only just does not, it is moved out. */
function stands(world: World, s: RunState): boolean {
  if (overlapOf(world, s) > LET_OUT) return false;
  standClear(world, s);
  return overlapOf(world, s) === 0;
}
