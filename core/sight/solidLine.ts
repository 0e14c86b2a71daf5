import { chordOf, planesOf, type Polyhedron } from '../geometry';

/** A drawn solid made ready for lines. */
export type LinedSolid =
  /** One without hollows, by the planes of its faces: a unit normal and an offset each, m. */
  | { readonly kind: 'convex'; readonly planes: Float64Array }
  /** Any closed one, by its triangles: three corners each, m. */
  | { readonly kind: 'mesh'; readonly triangles: Float64Array };

/**
 * Makes a solid ready.
 * @param solid the solid, faces seen from outside turn left
 * @param hollow whether it may have hollows
 */
export function linedSolid(solid: Polyhedron, hollow: boolean): LinedSolid {
  const { points, faces } = solid;
  if (hollow) {
    const corners = faces.flatMap((face) =>
      face.slice(2).flatMap((_, i) => [face[0], face[i + 1], face[i + 2]]),
    );
    return { kind: 'mesh', triangles: Float64Array.from(corners.flatMap((i) => [...points[i]])) };
  }
  return { kind: 'convex', planes: planesOf(solid) };
}

/**
 * Whether a line meets a solid anywhere; one that ends in it does.
 * @param solid made ready
 * @param a where the line begins, in the solid's frame, m
 * @param b where it ends, m
 */
export const meetsLine = (
  solid: LinedSolid,
  a: ArrayLike<number>,
  b: ArrayLike<number>,
): boolean =>
  solid.kind === 'convex' ? chordOf(solid.planes, a, b) !== null : meetsMesh(solid.triangles, a, b);

/** Triangle by triangle (Möller and Trumbore, 1997). */
function meetsMesh(t: Float64Array, a: ArrayLike<number>, b: ArrayLike<number>): boolean {
  const [dx, dy, dz] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
  for (let i = 0; i < t.length; i += 9) {
    const [ux, uy, uz] = [t[i + 3] - t[i], t[i + 4] - t[i + 1], t[i + 5] - t[i + 2]];
    const [vx, vy, vz] = [t[i + 6] - t[i], t[i + 7] - t[i + 1], t[i + 8] - t[i + 2]];
    const [px, py, pz] = [dy * vz - dz * vy, dz * vx - dx * vz, dx * vy - dy * vx];
    const det = ux * px + uy * py + uz * pz;
    if (det === 0) continue;
    const [sx, sy, sz] = [a[0] - t[i], a[1] - t[i + 1], a[2] - t[i + 2]];
    const u = (sx * px + sy * py + sz * pz) / det;
    if (u < 0 || u > 1) continue;
    const [qx, qy, qz] = [sy * uz - sz * uy, sz * ux - sx * uz, sx * uy - sy * ux];
    const v = (dx * qx + dy * qy + dz * qz) / det;
    if (v < 0 || u + v > 1) continue;
    const k = (vx * qx + vy * qy + vz * qz) / det;
    if (k >= 0 && k <= 1) return true;
  }
  return false;
}
