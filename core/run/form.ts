import { ballBody, hullBody, type Body } from '../collision';
import { mapPoints, NO_TURN, type Vec3 } from '../geometry';
import { applyPose, STILL, type Pose } from '../motion';
import type { Shape } from '../pieces';

/**
 * A rounded body that is moved about: an upright capsule, or a ball where `half` is 0. Its place is its
 * lowest point, the foot.
 */
export interface Rounded {
  /** Place among the sizes that bodies of colliders are kept for. */
  readonly index: number;
  readonly radius: number;
  /** Half the length of the capsule's inner segment, m. */
  readonly half: number;
}

/** From the foot to the middle, m. */
export const liftOf = ({ radius, half }: Rounded): number => radius + half;

/** What a convex form is when the segment of a rounded body is added to it. */
export function bodyOf(form: Shape['form'], pose: Pose, half: number): Body {
  if (form.kind === 'ball') {
    return ballBody(applyPose(pose, form.centre), form.radius * pose.size, half);
  }
  const solid = pose === STILL ? form.solid : mapPoints(form.solid, (p) => applyPose(pose, p));
  return hullBody(solid, half, (form.round ?? 0) * pose.size);
}

/**
 * Whether a rounded body is met by what is in a pose as by the same thing at rest, seen from its frame: a
 * ball always is, an upright capsule as long as upright stays upright.
 */
export const seenAtRest = ({ turn, size }: Pose, { half }: Rounded): boolean =>
  size === 1 && (half === 0 || turn === NO_TURN || turn[4] > UPRIGHT);
/** Cosine of the lean that an upright axis may have and count as upright. */
const UPRIGHT = 1 - 1e-15;

/** A form's bodies for each size of what is moved against it, made when first asked for. */
export class Bodies {
  private readonly still: (Body | undefined)[] = [];
  private readonly posed: (Body | undefined)[] = [];
  private pose: Pose = STILL;

  constructor(private readonly form: Shape['form']) {}

  /** The body as it rests. */
  rest({ index, half }: Rounded): Body {
    return (this.still[index] ??= bodyOf(this.form, STILL, half));
  }

  /** The body in a pose. */
  at(pose: Pose, { index, half }: Rounded): Body {
    if (this.pose !== pose) {
      this.pose = pose;
      this.posed.length = 0;
    }
    return (this.posed[index] ??= bodyOf(this.form, pose, half));
  }
}

/** The box about a form at rest. */
export function formBounds(form: Shape['form']): { low: Vec3; high: Vec3 } {
  const points = form.kind === 'ball' ? [form.centre] : form.solid.points;
  const own = form.kind === 'ball' ? form.radius : (form.round ?? 0);
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  for (const p of points) {
    for (let axis = 0; axis < 3; axis++) {
      low[axis] = Math.min(low[axis], p[axis] - own);
      high[axis] = Math.max(high[axis], p[axis] + own);
    }
  }
  return { low: low as never, high: high as never };
}
