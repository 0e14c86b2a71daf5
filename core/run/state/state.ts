import type { Contact, World } from '../world';

/** What a tick is told: the pad in whole steps along x and z, and the button. */
export interface Input {
  readonly x: number;
  readonly z: number;
  readonly jump: boolean;
}

export const NO_INPUT: Input = { x: 0, z: 0, jump: false };
export const FULL_PAD = 16;
/** Steps of the hardest stroke of a flick stone. */
export const FULL_AIM = 1000;

/** A pad push of -1 to 1 as the whole steps that runs are made of. */
export const padSteps = (push: number): number =>
  Math.round(Math.min(1, Math.max(-1, push)) * FULL_PAD);

/** The bodies of what is loose, as a run knows them: whatever library moves them. */
export interface LooseSimulation {
  /** Bodies that go on from here by themselves, bit for bit as these would. */
  copy(): LooseSimulation;
  /** Lets go of memory that can be made anew. */
  pack(): void;
  /** Has the numbers of what is loose be those that were kept. */
  takeBack(drives: Float64Array, kept: Float64Array): void;
  /** Moves everything loose on by a tick. */
  step(world: World, s: RunState): void;
  /**
   * Has the runner run into a loose piece.
   * @param v the runner's speed in the world, m/s
   * @returns how much of its speed against the piece the runner loses, m/s
   */
  meet(world: World, s: RunState, contact: Contact, v: readonly number[], bounce: number): number;
}

/** Pieces touched within a tick, so many of the lists. */
export interface Touching {
  count: number;
  readonly pieces: number[];
  readonly speeds: number[];
}

export const nothingTouched = (): Touching => ({ count: 0, pieces: [], speeds: [] });

/** All that changes while a run goes on. Numbers only, so that keeping a state is a copy. */
export interface RunState {
  /** Ticks since the run began. */
  tick: number;
  /** The foot, m. */
  x: number;
  y: number;
  z: number;
  /** Speed in m/s; of a hopper or cart on a mover, relative to it. */
  vx: number;
  vy: number;
  vz: number;
  /** Where the runner looks, degrees about y; 0 is along x. */
  heading: number;
  /** Where a cart points: a unit vector. */
  fx: number;
  fy: number;
  fz: number;
  /** Size of the runner's body: a place in World.bodies. */
  size: number;
  /** The collider stood on, or -1 in the air. */
  ground: number;
  /** Normal of what is stood on. */
  gx: number;
  gy: number;
  gz: number;
  /** Height of the last ground that could be stood on: what steps are measured from. */
  baseY: number;
  /** Ticks since what rolls last touched anything, and how hard that presses it, m/s². */
  air: number;
  press: number;
  /** Ticks in which a jump still counts after leaving the ground. */
  coyote: number;
  /** Ticks for which an early jump is still kept. */
  buffer: number;
  jumpHeld: boolean;
  /** Whether a jump is rising and can be cut short. */
  rising: boolean;
  /** Jumps made since the ground was left. */
  airJumps: number;
  /** Tick at which a wall was last touched in the air, and the way off it over the map. */
  wallTick: number;
  wallX: number;
  wallZ: number;
  /** The piece being dropped through, or -1, and since when. */
  drop: number;
  dropTick: number;
  /** Place in World.checkpoints of the last one reached, or -1; and for each whether it was. */
  checkpoint: number;
  passed: Uint8Array;
  /** One for each of World.pickups: the tick after it was gathered, or 0. */
  gathered: Int32Array;
  gatheredCount: number;
  /** Ticks for which inputs are still ignored. */
  rest: number;
  falls: number;
  /** Jumps or strokes made. */
  jumps: number;
  /** Worth of what was gathered. */
  worth: number;
  /** Times round that are done. */
  lap: number;
  /** The leg being run, when it began, and the strokes and ticks of those that are done. */
  leg: number;
  /** Which start of several each leg begins at. */
  start: number;
  legTick: number;
  legJumps: number;
  legs: Int32Array;
  /** What was gathered, and its worth, before the leg began. */
  legGathered: number;
  legWorth: number;
  /** Ticks spent within the goal of the leg, and the last of them. */
  held: number;
  heldTick: number;
  /** Whether the runner has been off the goal since it last counted; see World.roundOff. */
  offGoal: boolean;
  /** For each of World.locks the tick that set it off, or until which it is open; -1 for never. */
  gates: Int32Array;
  /** For each piece: whether it is away; the tick it was last touched; how often it was. */
  away: Uint8Array;
  touched: Int32Array;
  hits: Int16Array;
  /** Pieces touched of late that a link waits for to be left or stood in. */
  watched: number[];
  /** Of each number that switches carry: the tick one last opened its gates, and until when. */
  pairs: Int32Array;
  /** See Clocks. */
  moverFrom: Int32Array;
  moverAt: Int32Array;
  dynamicPoses: Float64Array;
  /** The bodies of what is loose, once the run has begun. */
  bodies: LooseSimulation | null;
  /** What was touched within the tick: pieces, and the closing speed of each, m/s. */
  readonly touching: Touching;
  /** Of each thrower by how many ticks its next throw comes late. */
  throws: Int32Array;
  /**
   * Of each copy that may be thrown: the tick it was, or -1; its lowest point when its step began and when
   * it will end; speed and ground.
   */
  projectiles: Float64Array;
  /** What the regions and links do to the runner now; see field. */
  field: Float64Array;
  /** Links' changes: times the usual gravity and speed, and the ticks until which they hold. */
  gravityBy: number;
  gravityUntil: number;
  speedBy: number;
  speedUntil: number;
  sizeUntil: number;
  stillUntil: number;
  slowUntil: number;
  /** Of each link: how often it acted, when it last did and when it will, and how long it was stood in; see link. */
  links: Int32Array;
  /** The first tick at which any of them may be due. */
  due: number;
  /** The tide's height from a tick on, so many ticks long, to another. */
  tideFrom: number;
  tideTo: number;
  tideTick: number;
  tideTicks: number;
  /** The piece that threw the runner off last and is not left long enough yet, or -1; and when it was last touched. */
  thrownBy: number;
  thrownTick: number;
  /** The portal come out of last that was not left yet, as a piece, or -1; and when it was last met. */
  portal: number;
  portalTick: number;
  /** Which ways out of the portals by chance were taken since all of them were. */
  mouths: Uint8Array;
  /** Tick at which the shut goal was last touched. */
  shutTick: number;
  /** What chance the run has left: 32 bits. */
  seed: number;
  /** Seconds from start to goal, or -1 while running; and whether it ended without. */
  finish: number;
  over: boolean;
  /** How things were when the last checkpoint that restores them was reached. */
  snapshot: CheckpointSnapshot | null;
}

/** What a checkpoint may restore. */
export type CheckpointSnapshot = Pick<
  RunState,
  'tick' | 'gates' | 'away' | 'hits' | 'moverFrom' | 'moverAt' | 'links' | 'bodies'
> & { readonly dynamicPoses: Float64Array | null };

/** Clearance kept from every surface, m. */
export const SKIN = 1e-3;
/** Numbers kept of each link and each copy. */
export const LINK_SIZE = 5;
export const PROJECTILE_SIZE = 11;

/** A copy that shares nothing with the state that could change. */
export const cloneState = (s: RunState): RunState => ({
  ...s,
  passed: s.passed.slice(),
  gathered: s.gathered.slice(),
  legs: s.legs.slice(),
  gates: s.gates.slice(),
  away: s.away.slice(),
  touched: s.touched.slice(),
  hits: s.hits.slice(),
  watched: s.watched.slice(),
  pairs: s.pairs.slice(),
  moverFrom: s.moverFrom.slice(),
  moverAt: s.moverAt.slice(),
  dynamicPoses: s.dynamicPoses.slice(),
  bodies: s.bodies?.copy() ?? null,
  throws: s.throws.slice(),
  projectiles: s.projectiles.slice(),
  field: s.field.slice(),
  links: s.links.slice(),
  mouths: s.mouths.slice(),
  // Nothing of it outlives a tick.
  touching: nothingTouched(),
});

/** Keeps how things are, for the checkpoint just reached. */
export const saveCheckpoint = (s: RunState): void => {
  s.snapshot = {
    tick: s.tick,
    gates: s.gates.slice(),
    away: s.away.slice(),
    hits: s.hits.slice(),
    moverFrom: s.moverFrom.slice(),
    moverAt: s.moverAt.slice(),
    links: s.links.slice(),
    // Only what is loose is taken back; what chases or drifts goes on.
    bodies: s.bodies?.copy() ?? null,
    dynamicPoses: s.bodies ? s.dynamicPoses.slice() : null,
  };
};

/** Has things as they were when they were kept; what was under way goes on from there. */
export function restoreCheckpoint(s: RunState): void {
  const { snapshot } = s;
  if (!snapshot) return;
  const since = s.tick - snapshot.tick;
  const later = (tick: number) => (tick < 0 ? tick : Math.min(0x7fffffff, tick + since));
  s.gates.set(snapshot.gates.map(later));
  s.away.set(snapshot.away);
  s.hits.set(snapshot.hits);
  s.moverFrom.set(snapshot.moverFrom.map(later));
  s.moverAt.set(snapshot.moverAt);
  s.due = s.tick;
  if (snapshot.bodies && snapshot.dynamicPoses) {
    s.bodies = snapshot.bodies.copy();
    // A list of its own: poses are kept by which list they came from.
    s.dynamicPoses = s.dynamicPoses.slice();
    s.bodies.takeBack(s.dynamicPoses, snapshot.dynamicPoses);
  }
  s.links.set(
    snapshot.links.map((v, i) => (i % LINK_SIZE === 1 || i % LINK_SIZE === 2 ? later(v) : v)),
  );
}

/** Height of the tide line at the state's tick, m. */
export function tideOf(s: RunState): number {
  if (s.tideTicks === 0) return s.tideTo;
  const part = Math.min(1, Math.max(0, (s.tick - s.tideTick) / s.tideTicks));
  return s.tideFrom + (s.tideTo - s.tideFrom) * part;
}
