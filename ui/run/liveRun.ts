import { TICKS_PER_SECOND } from '@/core/motion';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import {
  beginAt,
  buildWorld,
  cloneState,
  hiddenPieces,
  initialState,
  NO_INPUT,
  Recorder,
  stateKeys,
  summarise,
  tick,
  tickFlown,
  type Input,
  type Run,
  type RunEvent,
  type RunResult,
  type RunState,
  type World,
  type RunFrom,
} from '@/core/run';

const TICK_MS = 1000 / TICKS_PER_SECOND;
/** Ticks after which what is gone is looked up again. */
const GONE_TICKS = 4;
/** Longest stretch that is made up for at once, ms; after a longer one the run simply goes on. */
const MOST_BEHIND = 500;

/** The farthest anything runs in a tick, m. */
const FARTHEST = 1;

/** Ticks between two states kept for going back, and how many of them are. */
const [KEPT_EVERY, MOST_KEPT] = [12, 100];

/** Where an attempt begins. */
export type Beginning =
  /** At a start of the course, which of several. */
  | { readonly kind: 'start'; readonly start: number }
  /** Part of the way. */
  | { readonly kind: 'place'; readonly at: RunFrom }
  /** Where another run was after its inputs: those are played first. */
  | { readonly kind: 'moment'; readonly run: Run; readonly from?: RunFrom }
  /** In a state of the course as it was, put into the course as it is. */
  | { readonly kind: 'state'; readonly state: RunState };

/** Something kept for going back a tick. */
interface KeptState {
  readonly state: RunState;
  readonly events: number;
}

/** Where an attempt begins when that is no start of the course. */
function placeOf(beginning: Beginning) {
  if (beginning.kind === 'place') return beginning.at;
  return beginning.kind === 'moment' ? beginning.from : undefined;
}

/**
 * A run as it is played. Ticks follow the clock, not the frames, and every input is stamped with the
 * moment it was made, so that it counts at its tick however seldom the screen is drawn.
 */
export class LiveRun {
  readonly state: RunState;
  readonly events: RunEvent[] = [];
  /** The tick it began at: that of the moment it went on from, or 0. */
  readonly since: number;
  /** Whether something helped it that helps no player; it then proves nothing. */
  aided = false;
  /** How often the runner was put somewhere else: back, through a portal, to the next leg. */
  placed = 0;
  /** What all chance in the run comes from. */
  readonly seed: number;
  /** Which start of several it began at. */
  readonly start: number;
  private readonly base: World;
  private safe: World | null = null;
  private unhurt = false;
  private speed = 1;
  private flight: (() => Vec3) | null = null;
  private inputs: Input[] = [];
  private path: number[] = [];
  private waiting: { at: number; input: Input }[] = [];
  private input: Input = NO_INPUT;
  private clock: number | null = null;
  private kept: KeptState[] = [];

  /**
   * @param course the course
   * @param beginning where it begins
   * @param seed what all chance in it comes from
   * @param goesBack whether it may go a tick back, for which states are kept
   */
  constructor(
    course: Course,
    readonly beginning: Beginning = { kind: 'start', start: 0 },
    seed = Math.floor(Math.random() * 2 ** 32),
    private readonly goesBack = true,
  ) {
    const moment = beginning.kind === 'moment' ? beginning.run : null;
    this.seed = moment?.seed ?? seed;
    this.start = moment?.start ?? (beginning.kind === 'start' ? beginning.start : 0);
    const world = buildWorld(course);
    const from = placeOf(beginning);
    const begun = from ? beginAt(course, world, from, this.seed) : null;
    this.base = begun?.world ?? world;
    this.state =
      beginning.kind === 'state'
        ? cloneState(beginning.state)
        : (begun?.state ?? initialState(world, this.seed, this.start));
    const first = this.state.tick;
    this.path.push(this.state.x, this.state.y, this.state.z);
    if (moment) this.stepAll(moment.inputs);
    this.since = moment ? this.state.tick : first;
  }

  private stepAll(inputs: Run['inputs']): void {
    for (const [ticks, x, z, jump] of inputs) {
      for (let i = 0; i < ticks; i++) this.step({ x, z, jump: jump === 1 });
    }
  }

  /** The course made ready, as it is for this runner now. */
  get world(): World {
    return this.unhurt || this.flight
      ? (this.safe ??= { ...this.base, unharmed: true })
      : this.base;
  }

  /** Whether it can be told again from its inputs alone. */
  get repeatable(): boolean {
    return !this.aided && this.beginning.kind !== 'state';
  }

  /** The inputs so far, as stretches of equal ones. */
  get recorder(): Recorder {
    const recorder = new Recorder();
    for (const input of this.inputs) recorder.add(input);
    return recorder;
  }

  /** Has nothing hurt the runner, or again all that does. */
  setUnhurt(unhurt: boolean): void {
    this.unhurt = unhurt;
    this.aided ||= unhurt;
    // What was kept may have been hurt where it now would not be.
    this.kept = [];
  }

  /** Has the runner fly, through everything, as fast as it is told each tick (m/s in the world); or no longer. */
  setFlight(flight: (() => Vec3) | null): void {
    this.flight = flight;
    this.aided ||= flight !== null;
    // Inputs do not tell where it flew.
    this.kept = [];
  }

  /** Has the clock go so many times as fast. */
  setSpeed(speed: number): void {
    this.speed = speed;
    this.aided ||= speed !== 1;
    this.clock = null;
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
    const tickMs = TICK_MS / this.speed;
    this.clock ??= now;
    if (now - this.clock > MOST_BEHIND) this.clock = now - MOST_BEHIND;
    while (this.clock + tickMs <= now && this.running) {
      this.clock += tickMs;
      this.hear(this.clock);
      this.step(this.input);
    }
    return (now - this.clock) / tickMs;
  }

  /** One tick on, with what is pressed at a moment, ms. */
  stepOn(now: number): void {
    this.aided = true;
    this.hear(now);
    if (this.running) this.step(this.input);
  }

  /** One tick back, as far as states of it are kept; answers whether there was one. */
  stepBack(): boolean {
    const { state, since, kept, firstTick } = this;
    this.aided = true;
    const wanted = state.tick - 1;
    while (kept.length > 0 && kept[kept.length - 1].state.tick > wanted) kept.pop();
    const last = kept[kept.length - 1];
    if (wanted < since || !last) return false;
    const again = this.inputs.slice(last.state.tick - firstTick, wanted - firstTick);
    Object.assign(state, cloneState(last.state));
    this.inputs.length = last.state.tick - firstTick;
    this.path.length = 3 * (this.inputs.length + 1);
    this.events.length = last.events;
    kept.pop();
    for (const input of again) this.step(input);
    this.placed++;
    return true;
  }

  /** The tick its inputs and its path begin at. */
  private get firstTick(): number {
    return this.state.tick - this.inputs.length;
  }

  private get running(): boolean {
    return this.state.finish < 0 && !this.state.over;
  }

  /** Takes up what the controls were told up to a moment. */
  private hear(until: number): void {
    while (this.waiting.length > 0 && this.waiting[0].at <= until) {
      this.input = this.waiting.shift()!.input;
    }
  }

  private step(input: Input): void {
    const { state } = this;
    // What moves loose pieces is too much to copy again and again.
    if (this.goesBack && !this.flight && state.tick % KEPT_EVERY === 0 && !state.bodies) {
      this.kept.push({ state: cloneState(state), events: this.events.length });
      if (this.kept.length > MOST_KEPT) this.kept.shift();
    }
    this.inputs.push(input);
    const { x, y, z } = state;
    let put = false;
    const hear = (event: RunEvent) => {
      // Nobody is told of links that act, and a course may have very many act.
      if (event.kind !== 'link') this.events.push(event);
      put ||= event.kind === 'respawn';
    };
    if (this.flight)
      tickFlown(this.world, state, this.flight(), (event) => {
        // It passes what would end it elsewhere.
        if (event.kind === 'checkpoint' || event.kind === 'pickup') hear(event);
      });
    else tick(this.world, state, input, hear);
    this.path.push(state.x, state.y, state.z);
    if (put || Math.hypot(state.x - x, state.y - y, state.z - z) > FARTHEST) this.placed++;
  }

  private goneAt = -1;
  private goneNow: ReadonlySet<string> = new Set();

  /** Ids of what is not to be seen; looked up anew some times a second. */
  gone(): ReadonlySet<string> {
    const { tick: now } = this.state;
    if (this.goneAt < 0 || now - this.goneAt >= GONE_TICKS || now < this.goneAt) {
      this.goneAt = now;
      this.goneNow = hiddenPieces(this.world, this.state);
    }
    return this.goneNow;
  }

  /** What the run turned out to be so far. */
  result(): RunResult {
    return summarise(this.world, this.state, this.events, new Float64Array(this.path));
  }

  /** How it stands now, to go on from on a course that was changed meanwhile. */
  stand(): { readonly keys: ReturnType<typeof stateKeys>; readonly state: RunState } {
    return { keys: stateKeys(this.base), state: cloneState(this.state) };
  }
}
