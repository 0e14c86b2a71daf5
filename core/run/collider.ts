import { ballBody, hullBody, type Body } from '../collision';
import { mapPoints, type Vec3 } from '../geometry';
import { applyPose, poseAt, STILL, type Motion, type Pose } from '../motion';
import type { Role, Shape, Surface } from '../pieces';
import { HOPPER_HALF, HOPPER_LIFT, HOPPER_RADIUS } from './hopper';

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
  /** Place in World.locks of what may take it away, or -1. */
  readonly lock: number;
  readonly motion: Motion | null;
  /** The box about every place of the runner's foot where it may touch, at any time. */
  readonly low: Vec3;
  readonly high: Vec3;
  /** The body at `bodyTick`, made when first asked for; without motion, or sliding, the one at rest. */
  body: Body | null;
  bodyTick: number;
  /** The pose at `poseTick`, and the one at the tick before. */
  pose: Pose;
  before: Pose;
  poseTick: number;
}

const bodyOf = (form: Shape['form'], pose: Pose): Body =>
  form.kind === 'ball'
    ? ballBody(applyPose(pose, form.centre), form.radius, HOPPER_HALF)
    : hullBody(
        pose === STILL ? form.solid : mapPoints(form.solid, (p) => applyPose(pose, p)),
        HOPPER_HALF,
      );

/** Brings a moving collider's pose to a tick; one without motion stays as it is. */
export function poseCollider(collider: Collider, tick: number): void {
  const { motion } = collider;
  if (!motion || collider.poseTick === tick) return;
  collider.before = collider.poseTick === tick - 1 ? collider.pose : poseAt(motion, tick - 1);
  collider.pose = poseAt(motion, tick);
  collider.poseTick = tick;
}

/** The collider's body: of a slide at rest, of what turns at the tick it is posed at. */
export function posedBody(collider: Collider): Body {
  if (collider.motion && collider.motion.kind !== 'slide') {
    if (!collider.body || collider.bodyTick !== collider.poseTick) {
      collider.body = bodyOf(collider.form, collider.pose);
      collider.bodyTick = collider.poseTick;
    }
    return collider.body;
  }
  return (collider.body ??= bodyOf(collider.form, STILL));
}

/** Samples of a turning motion over its period for its box; between two the tip strays by under a percent. */
const SWING_SAMPLES = 48;

/** The box about all that a shape may touch over time, as places of the runner's foot. */
export function reach(form: Shape['form'], motion: Motion | null): { low: Vec3; high: Vec3 } {
  const points = form.kind === 'ball' ? [form.centre] : form.solid.points;
  const own = form.kind === 'ball' ? form.radius : 0;
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  const include = (pose: Pose) => {
    for (const p of points) {
      const q = pose === STILL ? p : applyPose(pose, p);
      for (let axis = 0; axis < 3; axis++) {
        low[axis] = Math.min(low[axis], q[axis]);
        high[axis] = Math.max(high[axis], q[axis]);
      }
    }
  };
  let margin = 0.01;
  if (!motion) include(STILL);
  else if (motion.kind === 'slide') {
    include(STILL);
    include({ turn: STILL.turn, shift: motion.travel });
  } else {
    for (let i = 0; i < SWING_SAMPLES; i++) {
      include(poseAt({ ...motion, period: SWING_SAMPLES / 120, phase: 0 }, i));
    }
    const span = Math.max(high[0] - low[0], high[1] - low[1], high[2] - low[2]);
    margin += 0.02 * span;
  }
  const side = HOPPER_RADIUS + own + margin;
  const upright = HOPPER_HALF + side;
  return {
    low: [low[0] - side, low[1] - upright - HOPPER_LIFT, low[2] - side],
    high: [high[0] + side, high[1] + upright - HOPPER_LIFT, high[2] + side],
  };
}

/** Where a point fixed to the collider at the tick before has got to; the collider is posed. */
export function carriedAlong({ before, pose }: Collider, x: number, y: number, z: number): Vec3 {
  const m = before.turn;
  const px = x - before.shift[0];
  const py = y - before.shift[1];
  const pz = z - before.shift[2];
  // The inverse of a rotation is its transpose.
  return applyPose(pose, [
    m[0] * px + m[3] * py + m[6] * pz,
    m[1] * px + m[4] * py + m[7] * pz,
    m[2] * px + m[5] * py + m[8] * pz,
  ]);
}
