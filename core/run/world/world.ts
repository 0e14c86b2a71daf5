import type { CourseKind, Link, Piece } from '../../course';
import { cosDeg, sinDeg, type Vec3 } from '../../geometry';
import type { BroadPhase } from './broadPhase';
import type { Collider } from './collider';
import type { Capsule } from './capsule';
import type { Gate, Switch } from './gate';
import type { LinkIndex } from './linkIndex';
import type { Mover } from './mover';
import type { Portal } from './portals';
import type { Runner } from './runners';
import type { ProjectileEmitter } from './emitter';

/** Where a run begins or goes on: the foot's place, the heading in degrees about y, and the way ahead. */
export interface SpawnPoint {
  readonly at: Vec3;
  readonly heading: number;
  readonly ahead: Vec3;
  /** The piece that it goes along with, by its place in World.pieces, or -1. */
  readonly carrier: number;
}

/** A checkpoint: its piece's number in the course's order and where a run goes on from it. */
export interface Checkpoint extends SpawnPoint {
  readonly piece: number;
  readonly number: number;
  /** The leg it belongs to, from 0. */
  readonly leg: number;
  /** Whether a return to it has everything as it was then. */
  readonly restores: boolean;
}

/**
 * A course made ready to run. Everything a tick reads is here; everything it changes is in RunState,
 * but for caches that hold no decision (poses, bodies, what is near).
 */
export interface World {
  /** The course's pieces in order of id, shorter ones first: the order in the file changes nothing. */
  readonly pieces: readonly Piece[];
  readonly colliders: readonly Collider[];
  readonly runner: Runner;
  /** The runner's body, as large as usual first, then in each other size. */
  readonly bodies: readonly Capsule[];
  /** Downward acceleration, m/s². */
  readonly gravity: number;
  /** Where each leg begins: its only start, or those of which a run takes one. */
  readonly starts: readonly (readonly SpawnPoint[])[];
  readonly legs: number;
  readonly checkpoints: readonly Checkpoint[];
  /** For each piece its place in `checkpoints`, or -1. */
  readonly checkpointAt: Int32Array;
  /** Whether checkpoints must be taken in turn. */
  readonly ordered: boolean;
  /** Pickups by their piece, in order, and after how many ticks each is back; 0 for never. */
  readonly pickups: readonly number[];
  readonly respawns: readonly number[];
  /** For each piece its place in `pickups`, or -1; and for each pickup the leg it belongs to, from 0. */
  readonly pickupAt: Int32Array;
  readonly pickupLegs: Int32Array;
  readonly portals: readonly Portal[];
  /** For each piece its place in `portals`, or -1. */
  readonly portalAt: Int32Array;
  /** Switches by their piece. */
  readonly switches: ReadonlyMap<number, Switch>;
  /** How many numbers switches carry. */
  readonly pairs: number;
  /** Places of pieces by their ids. */
  readonly placeOf: ReadonlyMap<string, number>;
  readonly gates: readonly Gate[];
  /** For each piece its lock, or -1. */
  readonly pieceGates: Int32Array;
  readonly movers: readonly Mover[];
  /** For each piece what carries all of it, or -1. */
  readonly pieceMovers: Int32Array;
  /** For each piece what carries its moving part, or -1. */
  readonly partMovers: Int32Array;
  /** Numbers that driven movers keep. */
  readonly dynamicPoseSize: number;
  /** Movers that follow the runner, and those that sleep. */
  readonly runnerDriven: readonly Mover[];
  readonly triggeredMovers: readonly Mover[];
  /** Movers of what is loose. */
  readonly loose: readonly Mover[];
  readonly emitters: readonly ProjectileEmitter[];
  /** Copies there may be at once. */
  readonly maxProjectiles: number;
  readonly links: readonly Link[];
  /** The links, each to be found by what gives its cue. */
  readonly linkIndex: LinkIndex;
  /** For each piece whether a link waits for it to be left or stood in. */
  readonly watchedByLinks: Uint8Array;
  /** Whether anything breaks. */
  readonly breaking: boolean;
  /** Seconds of a beat and to the first. */
  readonly beat: { readonly seconds: number; readonly offset: number };
  /** What ends a run. */
  readonly kind: CourseKind;
  /** Times round, of laps; ticks within the goal, of holding it; ticks a run may take, or 0. */
  readonly laps: number;
  /** Middles of the goals; how far off them all a round without checkpoints has to lead, m, or 0. */
  readonly goals: readonly Vec3[];
  readonly roundOff: number;
  readonly holdTicks: number;
  readonly limit: number;
  /** Height of the tide line, m. */
  readonly tide: number;
  /** The depth (z) the runner keeps to, or null where it may go anywhere. */
  readonly lane: number | null;
  /** Whether nothing hurts the runner, as when a maker only tries something. */
  readonly unharmed: boolean;
  /** Place in `bodies` of a size. */
  readonly sizeIndex: (part: number) => number;
  readonly broadPhase: BroadPhase;
}

/** Times round and seconds within the goal when the maker says nothing. */
export const DEFAULT_LAPS = 3;

export const DEFAULT_HOLD = 10;

export const DEFAULT_GRAVITY = 22;

/** Thrown when a course cannot be run at all. */
export class NotRunnable extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'NotRunnable';
  }
}

/**
 * A place to begin at.
 * @param at the foot's place, m
 * @param heading degrees about y
 * @param carrier the piece that it goes along with, by its place in World.pieces, or -1
 */
export const spotAt = (at: Vec3, heading = 0, carrier = -1): SpawnPoint => ({
  at,
  heading,
  carrier,
  ahead: [cosDeg(heading), 0, -sinDeg(heading)],
});
