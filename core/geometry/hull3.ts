import quickHull from 'quickhull3d/dist/quickhull3d.js';
import type { Polyhedron } from './polyhedron';
import { facetedBall } from './solids';
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

/** A convex solid grown by a radius all about, its corners rounded as far as a faceted ball is round. */
export function rounded(solid: Polyhedron, radius: number): Polyhedron {
  const ball = facetedBall([0, 0, 0], radius).points;
  return convexSolid(
    solid.points.flatMap(([x, y, z]) => ball.map((p): Vec3 => [x + p[0], y + p[1], z + p[2]])),
  );
}
