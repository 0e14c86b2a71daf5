import fc from 'fast-check';
import { cosDeg, cross, dot, mapVec3, type Polyhedron, sinDeg, sub, type Vec3 } from '../geometry';

// The same solid told in other ways: its flat faces in triangles, or cut anywhere.

/** Every face in triangles about one of its corners. */
export const inTriangles = ({ points, faces }: Polyhedron, turn = 0): Polyhedron => ({
  points,
  faces: faces.flatMap((face) => {
    const ring = face.map((_, i) => face[(i + turn) % face.length]);
    return ring.slice(2).map((c, i) => [ring[0], ring[i + 1], c]);
  }),
});

/** Every face cut into triangles about a point of its own, and some edges split by a point on them. */
export function cutUp({ points, faces }: Polyhedron, parts: readonly number[]): Polyhedron {
  const all: Vec3[] = [...points];
  const mix = (a: Vec3, b: Vec3, k: number): Vec3 => mapVec3((i) => a[i] + (b[i] - a[i]) * k);
  const onEdge = new Map<string, number>();
  let next = 0;
  const part = () => parts[next++ % parts.length];
  const split = (a: number, b: number): number => {
    const key = a < b ? `${a} ${b}` : `${b} ${a}`;
    let place = onEdge.get(key);
    if (place === undefined) {
      const k = part();
      place = k < 0.5 ? -1 : all.push(mix(points[a], points[b], 0.1 + 0.8 * (k - 0.5))) - 1;
      onEdge.set(key, place);
    }
    return place;
  };
  const cut = faces.flatMap((face) => {
    const ring = face.flatMap((a, i) => {
      const on = split(a, face[(i + 1) % face.length]);
      return on < 0 ? [a] : [a, on];
    });
    const middle = face.reduce<Vec3>(
      (sum, i) => [
        sum[0] + points[i][0] / face.length,
        sum[1] + points[i][1] / face.length,
        sum[2] + points[i][2] / face.length,
      ],
      [0, 0, 0],
    );
    const hub = all.push(mix(middle, points[face[0]], 0.8 * part())) - 1;
    return ring.map((a, i) => [hub, a, ring[(i + 1) % ring.length]]);
  });
  return { points: all, faces: cut };
}

/** A flat solid of a few corners with a few upright or leaning sides: its faces have many corners. */
export const anyPrism = fc
  .record({
    corners: fc.integer({ min: 3, max: 8 }),
    turn: fc.integer({ min: 0, max: 359 }),
    width: fc.integer({ min: 3, max: 40 }),
    depth: fc.integer({ min: 3, max: 40 }),
    height: fc.integer({ min: 1, max: 30 }),
    lean: fc.integer({ min: -10, max: 10 }),
    up: fc.constantFrom<0 | 1 | 2>(0, 1, 2),
  })
  .map(({ corners, turn, width, depth, height, lean, up }): Polyhedron => {
    const ring = (y: number, off: number) =>
      Array.from({ length: corners }, (_, i): Vec3 => {
        const a = turn + (360 * i) / corners;
        const p = [(cosDeg(a) * width) / 20 + off, y, (sinDeg(a) * depth) / 20];
        return [p[up], p[(up + 1) % 3], p[(up + 2) % 3]];
      });
    const n = corners;
    const places = Array.from({ length: n }, (_, i) => i);
    const solid: Polyhedron = {
      points: [...ring(0, 0), ...ring(height / 20, lean / 20)],
      faces: [
        places,
        places.map((i) => 2 * n - 1 - i),
        ...places.map((i) => [(i + 1) % n, i, n + i, n + ((i + 1) % n)]),
      ],
    };
    return outward(solid);
  });

/** A solid with its faces read from outside. */
function outward(solid: Polyhedron): Polyhedron {
  const { points, faces } = solid;
  const middle = points.reduce<Vec3>((m, p) => [m[0] + p[0], m[1] + p[1], m[2] + p[2]], [0, 0, 0]);
  const [a, b, c] = faces[0].map((i) => points[i]);
  const centre: Vec3 = [
    middle[0] / points.length,
    middle[1] / points.length,
    middle[2] / points.length,
  ];
  const out = dot(cross(sub(b, a), sub(c, a)), sub(a, centre)) > 0;
  return out ? solid : { points, faces: faces.map((face) => [...face].reverse()) };
}
