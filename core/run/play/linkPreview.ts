import { TICKS_PER_SECOND } from '../../motion';
import type { Course, CueKind } from '../../course';
import { buildWorld, ticksOf, type World } from '../world';
import { type RunState, eventEmitter } from '../state';
import {
  actOnLinks,
  dueAt,
  type TickEvents,
  leave,
  nothingHappened,
  stepProjectiles,
} from '../rules';
import { hiddenPieces } from './look';
import { runPosing, setUsualDrives, type PoseLookup } from './motionPreview';
import { initialState } from './begin';

/** Makes happen to pieces what a link waits for; a link that waits for anything else acts at once. */
const GIVEN: Partial<
  Record<CueKind, (places: readonly number[], happened: TickEvents, state: RunState) => void>
> = {
  touched: (places, { touched }) => touched.push(...places),
  broken: (places, { broken }) => broken.push(...places),
  checkpoint: (places, { checkpoints }) => checkpoints.push(...places),
  left: (places, _, state) => leave(state, places),
};

/** A cue that is given by hand in a dry run: of a link, at a tick. */
export interface ManualTrigger {
  readonly link: string;
  readonly tick: number;
}

/** A link that acted, and when. */
export type TriggerRecord = ManualTrigger;

/** Longest that a dry run goes on, ticks: a minute. */
const LONGEST = 60 * TICKS_PER_SECOND;

/**
 * A course's motions, links and throwers played without a runner: what the start, timers and beats bring about,
 * what follows from cues given by hand, and what is thrown, by the run's own rules. Everything that sleeps is awake.
 */
export class LinkPreview {
  readonly posing: PoseLookup;
  /** Every link that acts within a minute, in order. */
  readonly firings: readonly TriggerRecord[];
  readonly world: World;
  readonly state: RunState;

  /** @param tried cues given by hand, in any order */
  constructor(
    course: Course,
    private readonly tried: readonly ManualTrigger[] = [],
  ) {
    // Links need no start; a run of the simulation does.
    const start = course.pieces.some(({ family }) => family === 'start');
    const more = start
      ? []
      : [{ id: '-', family: 'start', at: [0, 0, 0] as [number, number, number] }];
    this.world = buildWorld({ ...course, pieces: [...course.pieces, ...more] });
    this.state = this.begin();
    const firings: TriggerRecord[] = [];
    while (this.state.tick < LONGEST) {
      this.step((link) => firings.push({ link, tick: this.state.tick }));
    }
    this.firings = firings;
    this.posing = runPosing(this.world, this.state);
    this.to(0);
  }

  /** Goes to a tick, at most a minute from the beginning. */
  to(tick: number): void {
    const goal = Math.min(LONGEST, Math.floor(tick));
    if (goal < this.state.tick) Object.assign(this.state, this.begin());
    while (this.state.tick < goal) this.step(() => {});
  }

  /** Ids of what links have taken away by now. */
  gone(): ReadonlySet<string> {
    return hiddenPieces(this.world, this.state);
  }

  private begin(): RunState {
    const state = initialState(this.world);
    state.moverFrom.fill(0);
    setUsualDrives(this.world.movers, state.dynamicPoses);
    return state;
  }

  private step(fired: (link: string) => void): void {
    const { world, state } = this;
    state.tick++;
    const happened = nothingHappened();
    for (const { link, tick } of this.tried) {
      if (tick === state.tick) this.give(link, happened);
    }
    const say = eventEmitter(world, state, (event) => {
      if (event.kind === 'link' && event.text) fired(event.text);
    });
    stepProjectiles(world, state);
    actOnLinks(world, state, happened, say);
    // Nobody runs: what would end a run, or take the runner back, ends nothing here.
    state.finish = -1;
    state.over = false;
  }

  /** Has happen what a link waits for. */
  private give(id: string, happened: TickEvents): void {
    const { world, state } = this;
    const at = world.links.findIndex((link) => link.id === id);
    if (at < 0) return;
    const { cue, delay = 0 } = world.links[at];
    const places = (cue.pieces ?? []).flatMap((piece) => world.placeOf.get(piece) ?? []);
    const give = places.length > 0 && GIVEN[cue.kind];
    if (give) give(places, happened, state);
    else dueAt(state, at, state.tick + ticksOf(delay));
  }
}
