import type { ColliderDesc } from '@dimforge/rapier3d-compat';
import {
  boundsOf,
  convexSolid,
  mapVec3,
  type Matrix3,
  multiply,
  quaternionOf,
  rotate,
  sub,
  transpose,
  type Vec3,
  volumeOf,
} from '../../geometry';
import { formVolume, type Shape } from '../../pieces';
import { physicsNow } from './physics';

/** Part of its box that a solid has to fill to count as one; and of its cylinder, at least and at most. */
const BOX_FILL = 0.86;
const [LEAST_ROUND, MOST_ROUND] = [0.86, 1.02];

/** A turn as the physics library takes it. */
export function rotationOf(turn: Matrix3): { x: number; y: number; z: number; w: number } {
  const [x, y, z, w] = quaternionOf(turn);
  return { x, y, z, w };
}

/**
 * A collision form for the physics library, told from `from`. Solids that are all but boxes or cylinders
 * in their piece's frame become these: faces of many corners have its contacts flicker, so that nothing
 * ever comes to rest on them.
 * @param frame the piece's turn
 */
export function solidOf(form: Shape['form'], from: Vec3, frame: Matrix3): ColliderDesc {
  const { ColliderDesc } = physicsNow();
  if (form.kind === 'ball') {
    return ColliderDesc.ball(form.radius).setTranslation(...sub(form.centre, from));
  }
  const points = form.solid.points.map((p) => sub(p, from));
  const numbers = new Float32Array(points.flat());
  if (form.round) {
    const round = ColliderDesc.roundConvexHull(numbers, form.round);
    if (round) return round;
  }
  const back = transpose(frame);
  const { low, high } = boundsOf(points.map((p) => rotate(back, p)));
  const extents = low.map((v, i) => Math.max(0.01, high[i] - v));
  const [w, h, d] = extents;
  const middle = rotate(
    frame,
    mapVec3((i) => (low[i] + high[i]) / 2),
  );
  const volume = volumeOf(form.solid);
  const cuboid = () =>
    ColliderDesc.cuboid(w / 2, h / 2, d / 2)
      .setTranslation(...middle)
      .setRotation(rotationOf(frame));
  if (volume >= BOX_FILL * w * h * d) return cuboid();
  for (const axis of [1, 0, 2]) {
    const [a, b] = extents.filter((_, i) => i !== axis);
    const part = volume / ((Math.PI / 4) * a * b * extents[axis]);
    if (Math.abs(a - b) > 0.05 * a || part < LEAST_ROUND || part > MOST_ROUND) continue;
    return ColliderDesc.cylinder(extents[axis] / 2, (a + b) / 4)
      .setTranslation(...middle)
      .setRotation(rotationOf(multiply(frame, AXES[axis])));
  }
  // Too thin to have a hull: its box will do.
  return ColliderDesc.convexHull(numbers) ?? cuboid();
}

/**
 * The volume of what stands for a form, m³.
 * @param desc what `solidOf` made of it
 * @param form the form
 */
export function standInVolume({ shape }: ColliderDesc, form: Shape['form']): number {
  const { Cuboid, Cylinder } = physicsNow();
  if (shape instanceof Cuboid) {
    const { x, y, z } = shape.halfExtents;
    return 8 * x * y * z;
  }
  if (shape instanceof Cylinder) {
    return Math.PI * shape.radius * shape.radius * 2 * shape.halfHeight;
  }
  return formVolume(form);
}

/** Part of their hull that forms have to fill to count as one solid. */
const UNITED_FILL = 0.88;

/** Several forms as one, where they fill all but little of their hull; and the part that they do. */
export function unitedForm(
  forms: readonly Shape['form'][],
): { readonly form: Shape['form']; readonly part: number } | null {
  const points = forms.flatMap((form) =>
    form.kind === 'hull' && !form.round ? form.solid.points : [],
  );
  if (forms.length < 2 || forms.some((form) => form.kind === 'ball' || form.round)) return null;
  const solid = convexSolid(points);
  const filled = forms.reduce((sum, form) => sum + formVolume(form), 0) / volumeOf(solid);
  if (filled < UNITED_FILL) return null;
  return { form: { kind: 'hull', solid }, part: filled };
}

/** Turns that bring y to lie along x, y or z. */
const AXES: readonly Matrix3[] = [
  [0, 1, 0, -1, 0, 0, 0, 0, 1],
  [1, 0, 0, 0, 1, 0, 0, 0, 1],
  [1, 0, 0, 0, 0, -1, 0, 1, 0],
];
