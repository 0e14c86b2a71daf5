import type { Course } from '../../course';
import { buildWorld, type World } from '../world';
import { cloneState, type Input, NO_INPUT, type RunState } from '../state';
import { beginningOfRun, type RunFrom } from './from';
import type { Run } from './record';
import { tick } from './tick';
import { ticksOfRun } from './verify';

/** Ticks between two states that are kept, to begin with; of a long run they come to lie farther apart. */
const APART = 240;
/** Most states that are kept. */
const MOST_KEPT = 240;

/**
 * A recorded run that can be looked at in any of its ticks. States are kept now and then, so that going back
 * plays no more than a short stretch again.
 */
export class Film {
  readonly world: World;
  /** How the run stands at the tick asked for last; the same object always, changed by asking. */
  readonly state: RunState;
  /** Ticks its inputs last. */
  readonly ticks: number;
  private readonly kept: RunState[];
  private apart = APART;
  /** For each stretch of inputs the tick it ends at. */
  private readonly ends: number[] = [];

  /**
   * @param course the course as it was run
   * @param run the run
   * @param from where it began instead of at a start, m
   * @throws ReplayRefused when the run was made on another course or by another simulation
   */
  constructor(
    course: Course,
    private readonly run: Run,
    from?: RunFrom,
  ) {
    this.ticks = ticksOfRun(course, run);
    const { world, state } = beginningOfRun(course, buildWorld(course), run, from);
    this.world = world;
    this.state = state;
    this.kept = [cloneState(state)];
    let end = 0;
    for (const [ticks] of run.inputs) this.ends.push((end += ticks));
  }

  /** Ticks between two of the states that are kept now. */
  get spacing(): number {
    return this.apart;
  }

  /** What the controls stood at when a tick was over and the next began. */
  inputAt(at: number): Input {
    const { ends } = this;
    let [low, high] = [0, ends.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (ends[middle] > at) high = middle;
      else low = middle + 1;
    }
    const stretch = this.run.inputs[low];
    return stretch ? { x: stretch[1], z: stretch[2], jump: stretch[3] === 1 } : NO_INPUT;
  }

  /** Has `state` be as it was after a tick; past the run's end as it was then. */
  goTo(at: number): RunState {
    const { state, kept, ticks, world } = this;
    const wanted = Math.min(ticks, Math.max(0, Math.round(at)));
    const last = kept[Math.min(kept.length - 1, Math.floor(wanted / this.apart))];
    if (wanted < state.tick || last.tick > state.tick) Object.assign(state, cloneState(last));
    while (state.tick < wanted && state.finish < 0 && !state.over) {
      tick(world, state, this.inputAt(state.tick), () => {});
      if (state.tick === kept.length * this.apart) this.keep();
    }
    return state;
  }

  /** Keeps the state; where there are enough, every other one goes. */
  private keep(): void {
    const { kept } = this;
    kept.push(cloneState(this.state));
    if (kept.length <= MOST_KEPT) return;
    const fewer = kept.filter((_, i) => i % 2 === 0);
    kept.splice(0, kept.length, ...fewer);
    this.apart *= 2;
  }
}
