import { type Cubic, cubicAt, mapVec3, type Swept, type Vec3 } from '../geometry';

/**
 * A stretch of a convex section carried along a curve, as balls meet it: its true surface, without facets. Each corner
 * of the section goes along a cubic curve; faces are ruled from one curve to the next, and both ends are flat.
 */
export interface SweptBody {
  /** Corners of the section. */
  readonly corners: number;
  /**
   * Twelve numbers for each corner's curve, and for that of their middle after them: of x, y and z the coefficients
   * of 1, u, u² and u³, u from 0 to 1.
   */
  readonly curves: Float64Array;
  /** The middle and the radius of a sphere that holds it all, m. */
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly reach: number;
}

/** Makes a stretch ready to be met, in the frame its control points are told in. */
export function sweptBody(swept: Swept): SweptBody {
  const n = swept.length;
  const curves = new Float64Array(12 * (n + 1));
  swept.forEach(([a, b, c, d], corner) => {
    for (let axis = 0; axis < 3; axis++) {
      const i = 12 * corner + 4 * axis;
      curves[i] = a[axis];
      curves[i + 1] = 3 * (b[axis] - a[axis]);
      curves[i + 2] = 3 * (a[axis] - 2 * b[axis] + c[axis]);
      curves[i + 3] = d[axis] - a[axis] + 3 * (b[axis] - c[axis]);
    }
    for (let k = 0; k < 12; k++) curves[12 * n + k] += curves[12 * corner + k] / n;
  });
  const mean = (i: 0 | 1 | 2 | 3) => meanOf(swept.map((curve) => curve[i]));
  const axis: Cubic = [mean(0), mean(1), mean(2), mean(3)];
  const middle = cubicAt(axis, 0.5);
  // A curve lies within the hull of its control points.
  const reach = Math.sqrt(
    Math.max(
      ...swept
        .flat()
        .map((p) => p.reduce((sum, v, i) => sum + (v - middle[i]) * (v - middle[i]), 0)),
    ),
  );
  return { corners: n, curves, x: middle[0], y: middle[1], z: middle[2], reach };
}

const meanOf = (points: readonly Vec3[]): Vec3 =>
  mapVec3((axis) => points.reduce((sum, p) => sum + p[axis], 0) / points.length);

/**
 * A coefficient's cubic at u.
 * @param curves all coefficients
 * @param i where its four begin
 * @param u part of the stretch, 0 to 1
 */
export const valueOf = (curves: Float64Array, i: number, u: number): number =>
  curves[i] + u * (curves[i + 1] + u * (curves[i + 2] + u * curves[i + 3]));

/** The first derivative of a coefficient's cubic at u; see `valueOf`. */
export const slopeOf = (curves: Float64Array, i: number, u: number): number =>
  curves[i + 1] + u * (2 * curves[i + 2] + u * 3 * curves[i + 3]);

/** The second derivative of a coefficient's cubic at u; see `valueOf`. */
export const bendOf = (curves: Float64Array, i: number, u: number): number =>
  2 * curves[i + 2] + u * 6 * curves[i + 3];
