import type { Wake } from '../../course';
import type { Matrix3, Vec3 } from '../../geometry';
import type { Driven, Motion, Pose } from '../../motion';

/**
 * What carries a piece, or the moving part of one: motions one within the other, all on one clock, and
 * what carries the mover itself. Its caches hold no decision.
 */
export interface Mover {
  readonly index: number;
  /** Place in World.pieces. */
  readonly piece: number;
  /** In the world, the outermost first: what shifts goes over what turns. */
  readonly motions: readonly Motion[];
  /** The mover that carries this one, or -1. */
  readonly parent: number;
  readonly wake: Wake | null;
  /** What the run itself decides, with the piece's place and turn. */
  readonly driven: Driven | null;
  /** Whether it falls and is pushed, as bodies do. */
  readonly loose: boolean;
  /** Where its numbers begin among those of all that are driven or loose, or -1. */
  readonly drive: number;
  readonly at: Vec3;
  readonly turn: Matrix3;
  pose: Pose;
  before: Pose;
  /** Of what is loose: how far its colliders reach from its foot, m. */
  reach: number;
  readonly cached: PoseCache;
}

/**
 * What a mover's kept poses were made from. They are right as long as all of this is as it is now: its own
 * tick now and at the tick before, the very poses of what carries it, and the run's numbers of what is driven
 * or loose. Nothing else a pose depends on can change, so that any number of runs may share a mover.
 */
export interface PoseCache {
  now: number;
  last: number;
  over: Pose;
  overBefore: Pose;
  readonly drive: Float64Array;
  /** The numbers of the run that was asked for last. */
  of: Float64Array | null;
}

/** The part of a run's state that says where movers are. */
export interface Clocks {
  readonly tick: number;
  /** The tick from which each has been running, or -1 while it sleeps. */
  readonly moverFrom: Int32Array;
  /** The tick of its own at which each is held, or -1 while it runs. */
  readonly moverAt: Int32Array;
  /** Of each driven mover six numbers, now and at the tick before; of each loose one LOOSE_SIZE. */
  readonly dynamicPoses: Float64Array;
}

/** Numbers kept of a mover that the run itself decides on: its shift now and at the tick before. */
export const DRIVE_SIZE = 6;

/** Numbers kept of a loose mover: its shift and its turn as a quaternion, now and at the tick before. */
export const LOOSE_SIZE = 14;

/** The movers of a course's pieces, and which of them carries a piece and its moving parts. */
export interface Movers {
  readonly list: Mover[];
  /** For each piece the mover of all of it, and that of its moving parts; -1 for none. */
  readonly whole: Int32Array;
  readonly part: Int32Array;
  /** Numbers the driven ones need. */
  readonly dynamicPoseSize: number;
}

/** The mover's own tick at a tick of the run. */
export function moverTick(s: Clocks, mover: number, tick: number): number {
  const held = s.moverAt[mover];
  if (held >= 0) return held;
  const from = s.moverFrom[mover];
  return from < 0 || tick <= from ? 0 : tick - from;
}

/** Sets the numbers of every loose mover to those of one that stands where it was laid. */
export function layLoose(list: readonly Mover[], drives: Float64Array): void {
  for (const { loose, drive } of list) {
    if (!loose) continue;
    drives.fill(0, drive, drive + LOOSE_SIZE);
    drives[drive + 6] = 1;
    drives[drive + LOOSE_SIZE / 2 + 6] = 1;
  }
}
