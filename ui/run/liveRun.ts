import { TICKS_PER_SECOND } from '@/core/motion';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import {
  beginAt,
  buildWorld,
  hiddenPieces,
  NO_INPUT,
  Recorder,
  initialState,
  summarise,
  tick,
  type Input,
  type RunEvent,
  type RunResult,
  type RunState,
  type World,
} from '@/core/run';

const TICK_MS = 1000 / TICKS_PER_SECOND;
/** Ticks after which what is gone is looked up again. */
const GONE_TICKS = 4;
/** Longest stretch that is made up for at once, ms; after a longer one the run simply goes on. */
const MOST_BEHIND = 500;

/** The farthest anything runs in a tick, m. */
const FARTHEST = 1;

/**
 * A run as it is played. Ticks follow the clock, not the frames, and every input is stamped with the
 * moment it was made, so that it counts at its tick however seldom the screen is drawn.
 */
export class LiveRun {
  readonly world: World;
  readonly state: RunState;
  readonly recorder = new Recorder();
  readonly events: RunEvent[] = [];
  private readonly path: number[] = [];
  private waiting: { at: number; input: Input }[] = [];
  private input: Input = NO_INPUT;
  private clock: number | null = null;
  /** How often the runner was put somewhere else: back, through a portal, to the next leg. */
  placed = 0;

  /** What all chance in the run comes from. */
  readonly seed: number;

  /** @param start which start of several it begins at */
  constructor(
    course: Course,
    from?: Vec3,
    seed = Math.floor(Math.random() * 2 ** 32),
    readonly start = 0,
  ) {
    this.seed = seed;
    const world = buildWorld(course);
    const begun = from ? beginAt(course, world, from, seed) : null;
    this.world = begun?.world ?? world;
    this.state = begun?.state ?? initialState(world, seed, start);
    this.path.push(this.state.x, this.state.y, this.state.z);
  }

  /** Says what the controls stand at from a moment on (ms, as of performance.now). */
  tell(input: Input, at: number): void {
    this.waiting.push({ at, input });
  }

  /** Holds the clock; the next `advance` goes on from here. */
  hold(): void {
    this.clock = null;
  }

  /** Runs all ticks up to a moment. Returns the part of the next tick that has gone by. */
  advance(now: number): number {
    this.clock ??= now;
    if (now - this.clock > MOST_BEHIND) this.clock = now - MOST_BEHIND;
    while (this.clock + TICK_MS <= now && this.state.finish < 0 && !this.state.over) {
      this.clock += TICK_MS;
      while (this.waiting.length > 0 && this.waiting[0].at <= this.clock) {
        this.input = this.waiting.shift()!.input;
      }
      this.recorder.add(this.input);
      const { state } = this;
      const { x, y, z } = state;
      let put = false;
      tick(this.world, state, this.input, (event) => {
        // Nobody is told of links that act, and a course may have very many act.
        if (event.kind !== 'link') this.events.push(event);
        put ||= event.kind === 'respawn';
      });
      this.path.push(state.x, state.y, state.z);
      if (put || Math.hypot(state.x - x, state.y - y, state.z - z) > FARTHEST) this.placed++;
    }
    return (now - this.clock) / TICK_MS;
  }

  private goneAt = -1;
  private goneNow: ReadonlySet<string> = new Set();

  /** Ids of what is not to be seen; looked up anew some times a second. */
  gone(): ReadonlySet<string> {
    const { tick } = this.state;
    if (this.goneAt < 0 || tick - this.goneAt >= GONE_TICKS || tick < this.goneAt) {
      this.goneAt = tick;
      this.goneNow = hiddenPieces(this.world, this.state);
    }
    return this.goneNow;
  }

  /** What the run turned out to be so far. */
  result(): RunResult {
    return summarise(this.world, this.state, this.events, new Float64Array(this.path));
  }
}
