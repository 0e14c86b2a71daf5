import {
  ballBody,
  inflateHull,
  type InflatedHull,
  sharedFaces,
  sweptBody,
  type SweptBody,
} from '../../collision';
import { mapPoints, NO_TURN, type Vec3 } from '../../geometry';
import { applyPose, STILL, type Pose } from '../../motion';
import type { Shape } from '../../pieces';

/**
 * A rounded body that is moved about: an upright capsule, or a ball where `half` is 0. Its place is its
 * lowest point, the foot.
 */
export interface Capsule {
  /** Place among the sizes that bodies of colliders are kept for. */
  readonly index: number;
  readonly radius: number;
  /** Half the length of the capsule's inner segment, m. */
  readonly half: number;
}

/** From the foot to the middle, m. */
export const centreHeight = ({ radius, half }: Capsule): number => radius + half;

/**
 * What a convex form is, in a pose, when the segment of a rounded body is added to it.
 * @param form at rest
 * @param pose that it is in
 * @param half half the segment that is added, m
 */
function bodyOf(form: Shape['form'], pose: Pose, half: number): InflatedHull {
  if (form.kind === 'ball') {
    return ballBody(applyPose(pose, form.centre), form.radius * pose.size, half);
  }
  const solid = pose === STILL ? form.solid : mapPoints(form.solid, (p) => applyPose(pose, p));
  return inflateHull(solid, half, (form.round ?? 0) * pose.size);
}

/**
 * Whether a rounded body is met by what is in a pose as by the same thing at rest, seen from its frame: a
 * ball always is, an upright capsule as long as upright stays upright.
 */
export const fitsRestFrame = ({ turn, size }: Pose, { half }: Capsule): boolean =>
  size === 1 && (half === 0 || turn === NO_TURN || turn[4] > UPRIGHT);
/** Cosine of the lean that an upright axis may have and count as upright. */
const UPRIGHT = 1 - 1e-15;

const outside = (v: number, low: number, high: number): number =>
  v < low ? low - v : v > high ? v - high : 0;

/** A form's bodies for each size of what is moved against it, made when first asked for. */
export class InflatedShapes {
  private readonly still: (InflatedHull | undefined)[] = [];
  /** Bodies in the pose asked for last, and whether each is made for it yet. */
  private readonly posed: (InflatedHull | undefined)[] = [];
  private readonly fresh: boolean[] = [];
  private pose: Pose = STILL;
  /** The box about the form at rest, m. */
  private readonly low: Vec3;
  private readonly high: Vec3;
  private readonly form: Shape['form'];
  /** What balls meet of it at rest, where its faces only stand for a curve; made when first asked for. */
  private curved: SweptBody | null | undefined;

  /**
   * @param form in the world, at rest
   * @param own the same in its piece's frame, which pieces that are alike share
   */
  constructor(form: Shape['form'], own = form) {
    this.form =
      form.kind === 'hull' && own.kind === 'hull'
        ? { ...form, solid: { points: form.solid.points, faces: sharedFaces(own.solid) } }
        : form;
    const { low, high } = formBounds(form);
    this.low = low;
    this.high = high;
  }

  /** At least how far a place is from the form in a pose, m; quick, and 0 where that is unknown. */
  away({ turn: m, shift, size }: Pose, x: number, y: number, z: number): number {
    const { low, high } = this;
    const px = x - shift[0];
    const py = y - shift[1];
    const pz = z - shift[2];
    // Seen from the frame that goes with it, to the box about it there.
    const dx = outside((m[0] * px + m[3] * py + m[6] * pz) / size, low[0], high[0]);
    const dy = outside((m[1] * px + m[4] * py + m[7] * pz) / size, low[1], high[1]);
    const dz = outside((m[2] * px + m[5] * py + m[8] * pz) / size, low[2], high[2]);
    return Math.sqrt(dx * dx + dy * dy + dz * dz) * size;
  }

  /** What balls meet of it at rest instead of its faces, where these only stand for a curve; else null. */
  swept(): SweptBody | null {
    if (this.curved === undefined) {
      const { form } = this;
      this.curved = form.kind === 'hull' && form.swept ? sweptBody(form.swept) : null;
    }
    return this.curved;
  }

  /** The body as it rests. */
  rest({ index, half }: Capsule): InflatedHull {
    return (this.still[index] ??= bodyOf(this.form, STILL, half));
  }

  /** The body in a pose. */
  at(pose: Pose, { index, half }: Capsule): InflatedHull {
    if (this.pose !== pose) {
      this.pose = pose;
      this.fresh.length = 0;
    }
    if (!this.fresh[index]) {
      this.posed[index] = bodyOf(this.form, pose, half);
      this.fresh[index] = true;
    }
    return this.posed[index]!;
  }
}

/** The box about a form at rest. */
export function formBounds(form: Shape['form']): { low: Vec3; high: Vec3 } {
  const points =
    form.kind === 'ball' ? [form.centre] : [...form.solid.points, ...(form.swept?.flat() ?? [])];
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
