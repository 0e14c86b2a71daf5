import { mapPoints, prism, type Polyhedron } from './polyhedron';
import { distance, normalize, scale, type Vec2, type Vec3 } from './vec';

/** A ramp that fills a box of the size standing on its foot's middle, rising along x. */
export function wedge([width, height, depth]: Vec3): Polyhedron {
  const [x, z] = [width / 2, depth / 2];
  return {
    points: [
      [-x, 0, -z],
      [x, 0, -z],
      [x, 0, z],
      [-x, 0, z],
      [x, height, -z],
      [x, height, z],
    ],
    faces: [
      [0, 1, 2, 3],
      [1, 4, 5, 2],
      [0, 3, 5, 4],
      [0, 4, 1],
      [3, 2, 5],
    ],
  };
}

/** A profile in x and y, anticlockwise as seen from the front, given a depth along z about 0. */
export const extrude = (profile: readonly Vec2[], depth: number, bevel = 0): Polyhedron =>
  mapPoints(
    prism(profile.map(([x, y]): Vec2 => [x, -y]).reverse(), -depth / 2, depth / 2, bevel),
    ([x, y, z]) => [x, -z, y],
  );

/** A ball of 80 flat facets whose corners lie on the sphere: an icosahedron split once. */
export function facetedBall(centre: Vec3, radius: number): Polyhedron {
  const g = (1 + Math.sqrt(5)) / 2;
  const points: Vec3[] = [];
  for (const a of [-1, 1]) for (const b of [-g, g]) points.push([a, b, 0], [0, a, b], [b, 0, a]);
  const corners = points.map((p) => normalize(p));
  // Neighbouring corners of an icosahedron within a unit sphere are 1.05 apart, others 1.7 or more.
  const near = (i: number, j: number) => distance(corners[i], corners[j]) < 1.2;
  const faces: number[][] = [];
  const middles = new Map<string, number>();
  const between = (i: number, j: number) => {
    const key = i < j ? `${i}-${j}` : `${j}-${i}`;
    const known = middles.get(key);
    if (known !== undefined) return known;
    const [a, b] = [corners[i], corners[j]];
    corners.push(normalize([a[0] + b[0], a[1] + b[1], a[2] + b[2]]));
    middles.set(key, corners.length - 1);
    return corners.length - 1;
  };
  for (let i = 0; i < 12; i++) {
    for (let j = i + 1; j < 12; j++) {
      for (let k = j + 1; k < 12; k++) {
        if (!near(i, j) || !near(j, k) || !near(i, k)) continue;
        const [a, b, c] = outward(corners, i, j, k);
        const [ab, bc, ca] = [between(a, b), between(b, c), between(c, a)];
        faces.push([a, ab, ca], [ab, b, bc], [ca, bc, c], [ab, bc, ca]);
      }
    }
  }
  return {
    points: corners.map((p) => {
      const [x, y, z] = scale(p, radius);
      return [x + centre[0], y + centre[1], z + centre[2]];
    }),
    faces,
  };
}

/** The corners in the order that faces away from the origin. */
function outward(p: readonly Vec3[], i: number, j: number, k: number): [number, number, number] {
  const [a, b, c] = [p[i], p[j], p[k]];
  const volume =
    a[0] * (b[1] * c[2] - b[2] * c[1]) +
    a[1] * (b[2] * c[0] - b[0] * c[2]) +
    a[2] * (b[0] * c[1] - b[1] * c[0]);
  return volume > 0 ? [i, j, k] : [i, k, j];
}
