import type { HurtKind } from '../../course';
import type { Vec3 } from '../../geometry';
import { applyPose, undoPose, type Pose } from '../../motion';
import type { Field, Role, Shape, Surface } from '../../pieces';
import type { InflatedShapes } from './capsule';

/** What being hurt by something does. */
export interface Hurt {
  readonly does: HurtKind;
  /** Speed it throws off at, m/s, or seconds it slows for. */
  readonly force: number;
}

/** The open side of a face that is passed from everywhere else. */
export interface OneWay {
  /** Unit normal of the side that stops, at rest, and how far the form reaches along it, m. */
  readonly normal: Vec3;
  readonly offset: number;
  readonly drop: boolean;
}

/** Where something comes up out of the ground: of what lies below nothing is there. */
export interface Mouth {
  /** A point of it, and its unit normal, at rest. */
  readonly at: Vec3;
  readonly up: Vec3;
}

/** Room left about every collider's box, for touches at a skin's distance, m. */
export const BROADPHASE_MARGIN = 0.02;

/** One convex shape of a piece, ready to be run against. */
export interface Collider {
  /** Its place in World.colliders. */
  readonly index: number;
  /** The piece it belongs to, as a place in World.pieces. */
  readonly piece: number;
  readonly role: Role;
  readonly form: Shape['form'];
  /** What it does to a runner that stands on it. */
  readonly surface?: Surface;
  /** What it does to a runner within it; directions in the world, at rest. */
  readonly field?: Field;
  /** How much room it takes, m³; of regions only, else 0. */
  readonly room: number;
  readonly hurt: Hurt;
  readonly oneWay: OneWay | null;
  readonly mouth: Mouth | null;
  /** Place in World.locks of what may take it away, or -1. */
  readonly gate: number;
  /** What carries it, as a place in World.movers, or -1. */
  readonly mover: number;
  /** Whether it goes with something loose, and so may come to be anywhere. */
  readonly isDynamic: boolean;
  /** The box about every place it may take, at any time, with MARGIN about it. */
  readonly low: Vec3;
  readonly high: Vec3;
  readonly bodies: InflatedShapes;
}

/**
 * Where a point has got to that was fixed to something at the tick before.
 * @param x of the point at the tick before, m
 * @param y of the place, m
 * @param z of the place, m
 */
export const carriedAlong = (
  { before, pose }: { readonly before: Pose; readonly pose: Pose },
  x: number,
  y: number,
  z: number,
): Vec3 => (before === pose ? [x, y, z] : applyPose(pose, undoPose(before, [x, y, z])));
