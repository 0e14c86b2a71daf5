import { distanceToBox, seeded } from '../../geometry';
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
import { pieceBounds } from '../../pieces';
import { isMishap } from '../mishap';
import { inputAt, type Pressed, pressedOf } from '../pressed';
import { Steerer } from '../steer';
import { standing, type RunTrace } from '../trace';
import { shiftOf, type PieceChange } from './changes';
import { standsOf } from './stands';

/** What the search may cost, in ticks of the simulation: the same answer on every machine. */
export const SEARCH_TICKS = 400_000;
/** Tries of one section, and how many sections before the change are gone back over. */
const [MOST_TRIES, MOST_BACK] = [120, 4];
/** How near to the old way a section has to end, m; farther off than this it is given up on the way. */
const [NEAR_END, STRAYED] = [0.75, 3.5];
/** Ticks after the old run's end in which the goal may still be reached. */
const LATE = 180;
/** Ticks later than the old run that a section may come to its stand. */
const LATE_STAND = 24;
/** Spread of the moments of presses in tries, ticks: 35, 100 and 200 ms. */
const SHAKES = [4, 12, 24];
/** How far beside the old way tries aim, m. */
const ASIDE = 0.25;
/** Within this of a piece that was moved the way is bent along with it, m. */
const BENT_WITHIN = 3;

/** How a try departs from what was pressed. */
interface Variation {
  /** The way bent towards where the piece went, as a part of how far that is. */
  readonly bend: number;
  /** m beside the way. */
  readonly aside: number;
  /** Spread of presses, ticks. */
  readonly shake: number;
}

/** The first tries of a section, from the least departure on. */
const FIRST: readonly Variation[] = [
  { bend: 0, aside: 0, shake: 0 },
  { bend: 1, aside: 0, shake: 0 },
  { bend: 0.5, aside: 0, shake: 0 },
];

/**
 * Looks for inputs near the old ones that lead through where those alone do not: section by section from the
 * last that held, steered along the old way, with presses a little earlier or later and the way bent towards
 * what was moved. The first that comes back to the old way is kept.
 */
export class WaySearch {
  private readonly pressed: Pressed;
  private readonly stands: readonly number[];
  private readonly random = seeded(11);
  private spent = 0;
  private readonly bent = new Map<number, Float64Array>();

  constructor(
    private readonly world: World,
    private readonly run: Run,
    /** How the run went on the course as it was. */
    private readonly old: RunTrace,
    private readonly change: PieceChange | null,
    private readonly budget = SEARCH_TICKS,
  ) {
    this.pressed = pressedOf(run);
    this.stands = standsOf(old.ground);
  }

  /**
   * The inputs that lead through, or null where none was found within the budget.
   * @param held the last tick at which the old inputs still kept to the way
   */
  find(held: number): Input[] | null {
    const first = this.sectionAt(held);
    for (let back = 0; back <= Math.min(MOST_BACK, first); back++) {
      const found = this.from(first - back);
      if (found) return found;
      if (this.spent >= this.budget) return null;
    }
    return null;
  }

  private sectionAt(tick: number): number {
    const { stands } = this;
    let at = 0;
    while (at + 2 < stands.length && stands[at + 1] <= tick) at++;
    return at;
  }

  /** Goes on from a section with the old inputs up to it. */
  private from(section: number): Input[] | null {
    const { world, run, stands } = this;
    let state = initialState(world, run.seed, run.start);
    const inputs: Input[] = [];
    for (let at = 0; at < stands[section]; at++) {
      const input = inputAt(this.pressed, at);
      inputs.push(input);
      tick(world, state, input, () => {});
    }
    this.spent += stands[section];
    for (let i = section; i + 1 < stands.length; i++) {
      const next = this.passed(state, i);
      if (!next) return null;
      inputs.push(...next.inputs);
      state = next.state;
      if (state.finish >= 0) return inputs;
    }
    return null;
  }

  /** A section passed by the first try that does, or null. */
  private passed(state: RunState, section: number) {
    for (let i = 0; i < MOST_TRIES && this.spent < this.budget; i++) {
      const passed = this.tried(state, section, FIRST[i] ?? this.anyVariation(i));
      if (passed) return passed;
    }
    return null;
  }

  private anyVariation(i: number): Variation {
    const { random } = this;
    return {
      bend: Math.floor(random() * 3) / 2,
      aside: (Math.floor(random() * 3) - 1) * ASIDE,
      shake: SHAKES[i % SHAKES.length],
    };
  }

  private tried(from: RunState, section: number, variation: Variation) {
    const { world, stands, old } = this;
    const { heading, speed, ground, result } = old;
    // The section before may have come to its end a little late.
    const [begin, end] = [from.tick, stands[section + 1]];
    const last = section + 2 === stands.length;
    const path = this.wayOf(variation, begin, end);
    const pressed = variation.shake > 0 ? this.shaken(variation.shake, begin, end) : this.pressed;
    const steerer = new Steerer(world.runner, { path, pressed, heading, speed }, begin);
    const standsNow = standing(world);
    const state = cloneState(from);
    const inputs: Input[] = [];
    const events: RunEvent[] = [];
    let wrong = false as boolean;
    const through = () => {
      if (state.finish >= 0) return true;
      if (last || state.tick < end) return false;
      return away(state, path, state.tick) < NEAR_END && (ground[end] === 0 || standsNow(state));
    };
    const until = end + (last ? LATE : LATE_STAND);
    while (!through()) {
      if (state.tick >= until || state.over) return null;
      // Past the old run's end nothing is kept to any more: on as it went.
      const on = !last || state.tick < end;
      const input = on ? steerer.input(state, state.tick) : inputAt(this.pressed, end - 1);
      inputs.push(input);
      tick(world, state, input, (event) => {
        events.push(event);
        wrong ||= isMishap(event);
      });
      this.spent++;
      if (wrong || strayed(state, path)) return null;
    }
    return sameMarks(events, result.events, stands[section], end) ? { state, inputs } : null;
  }

  /** The old way bent towards what was moved, and within a section aimed beside it. */
  private wayOf({ bend, aside }: Variation, begin: number, end: number): Float64Array {
    const way = bend === 0 ? this.old.path : this.bentBy(bend);
    if (aside === 0) return way;
    const copy = way.slice();
    const [dx, dz] = [way[3 * end] - way[3 * begin], way[3 * end + 2] - way[3 * begin + 2]];
    const far = Math.max(1e-6, Math.sqrt(dx * dx + dz * dz));
    // On a stage there is no beside: a little before or after instead.
    const [ax, az] = this.world.lane === null ? [-dz / far, dx / far] : [1, 0];
    for (let at = begin; at <= end; at++) {
      const by = aside * Math.sin((Math.PI * (at - begin)) / (end - begin));
      copy[3 * at] += ax * by;
      copy[3 * at + 2] += az * by;
    }
    return copy;
  }

  private bentBy(part: number): Float64Array {
    const known = this.bent.get(part);
    if (known) return known;
    const { path } = this.old;
    const bent = path.slice();
    const { change } = this;
    if (change?.before) {
      const shift = shiftOf(change);
      const box = pieceBounds(change.before);
      for (let i = 0; i < path.length; i += 3) {
        const far = distanceToBox(box, [path[i], path[i + 1], path[i + 2]]);
        const by = part * Math.max(0, 1 - far / BENT_WITHIN);
        for (let axis = 0; axis < 3; axis++) bent[i + axis] += by * shift[axis];
      }
    }
    this.bent.set(part, bent);
    return bent;
  }

  /** The old inputs with each press of the button in a section a little earlier or later. */
  private shaken(spread: number, begin: number, end: number): Pressed {
    const { x, z, jump } = this.pressed;
    const moved = jump.slice();
    moved.fill(0, begin, end);
    for (let at = begin; at < end; at++) {
      if (jump[at] === 0 || (at > begin && jump[at - 1] === 1)) continue;
      let until = at;
      while (until < end && jump[until] === 1) until++;
      // As a whole earlier or later, and held longer rather than shorter: that reaches farther.
      const by = Math.round((this.random() * 2 - 1) * spread);
      const held = until - at + Math.round((this.random() * 1.25 - 0.25) * spread);
      const on = Math.max(begin, at + by);
      moved.fill(1, on, Math.min(end, on + Math.max(1, held)));
    }
    return { x, z, jump: moved };
  }
}

const away = ({ x, y, z }: RunState, path: Float64Array, at: number): number => {
  const i = 3 * Math.min(path.length / 3 - 1, at);
  const [dx, dy, dz] = [path[i] - x, path[i + 1] - y, path[i + 2] - z];
  return Math.sqrt(dx * dx + dy * dy + dz * dz);
};

const strayed = (state: RunState, path: Float64Array): boolean =>
  state.tick < path.length / 3 && away(state, path, state.tick) > STRAYED;

const MARKS: readonly RunEvent['kind'][] = ['checkpoint', 'pickup', 'lap', 'leg', 'switch'];

/** Whether in a section at least all was passed, gathered and opened that was in the old run. */
function sameMarks(
  events: readonly RunEvent[],
  old: readonly RunEvent[],
  begin: number,
  end: number,
): boolean {
  const names = new Set(events.map(({ kind, piece }) => `${kind} ${piece}`));
  return old.every(
    ({ kind, piece, tick: at }) =>
      at <= begin || at > end || !MARKS.includes(kind) || names.has(`${kind} ${piece}`),
  );
}
