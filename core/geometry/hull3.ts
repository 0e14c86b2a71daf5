import quickHull from 'quickhull3d/dist/quickhull3d.js';
import type { Polyhedron } from './polyhedron';
import type { Vec3 } from './vec';

/**
 * The convex hull of points in space, by Quickhull (Barber, Dobkin and Huhdanpaa, 1996).
 * Its faces are triangles, so that each is flat to the last bit.
 * @throws Error when the points all lie in one plane
 */
export function convexSolid(points: readonly Vec3[]): Polyhedron {
  const triangles = quickHull(points.map(([x, y, z]) => [x, y, z])) as number[][];
  const used = [...new Set(triangles.flat())].sort((a, b) => a - b);
  const place = new Map(used.map((from, to) => [from, to]));
  return {
    points: used.map((i) => points[i]),
    faces: triangles.map((face) => face.map((i) => place.get(i)!)),
  };
}
