import { cosDeg, sinDeg } from './trig';
import { cross, type Vec2, type Vec3 } from './vec';

/**
 * A convex solid with flat faces. Each face lists its corners anticlockwise as seen from outside;
 * every edge belongs to exactly two faces.
 */
export interface Polyhedron {
  readonly points: readonly Vec3[];
  readonly faces: readonly (readonly number[])[];
}

/** Unit normal of a face, by Newell's method (Sutherland, Sproull and Schumacker, 1974). */
export function faceNormal(solid: Polyhedron, face: readonly number[]): Vec3 {
  const n: [number, number, number] = [0, 0, 0];
  setFaceNormal(solid, face, n, 0);
  return n;
}

/**
 * Puts a face's unit normal into three places of a list; made without garbage, as turned bodies ask often.
 * @param face places of its corners, seen anticlockwise from outside
 * @param out is written to
 * @param at where its three numbers begin
 * @returns twice the face's area, m²
 */
export function setFaceNormal(
  { points }: Polyhedron,
  face: readonly number[],
  out: { [place: number]: number },
  at: number,
): number {
  const o = points[face[0]];
  let [x, y, z] = [0, 0, 0];
  for (let i = 1; i + 1 < face.length; i++) {
    const p = points[face[i]];
    const q = points[face[i + 1]];
    const [ax, ay, az] = [p[0] - o[0], p[1] - o[1], p[2] - o[2]];
    const [bx, by, bz] = [q[0] - o[0], q[1] - o[1], q[2] - o[2]];
    x += ay * bz - az * by;
    y += az * bx - ax * bz;
    z += ax * by - ay * bx;
  }
  const l = Math.sqrt(x * x + y * y + z * z);
  const k = l === 0 ? 1 : 1 / l;
  out[at] = x * k;
  out[at + 1] = y * k;
  out[at + 2] = z * k;
  return l;
}

/** Volume of a solid in cubic metres, by the divergence theorem over its faces. */
export function volumeOf({ points, faces }: Polyhedron): number {
  let sixfold = 0;
  for (const face of faces) {
    const [ax, ay, az] = points[face[0]];
    for (let i = 1; i + 1 < face.length; i++) {
      const n = cross(points[face[i]], points[face[i + 1]]);
      sixfold += ax * n[0] + ay * n[1] + az * n[2];
    }
  }
  return sixfold / 6;
}

/** A copy with every point moved by `change`, which must not mirror. */
export const mapPoints = (solid: Polyhedron, change: (p: Vec3) => Vec3): Polyhedron => ({
  points: solid.points.map(change),
  faces: solid.faces,
});

/** A box between two opposite corners, `low` below `high` on every axis. */
export function box(low: Vec3, high: Vec3): Polyhedron {
  return prism(
    [
      [low[0], low[2]],
      [high[0], low[2]],
      [high[0], high[2]],
      [low[0], high[2]],
    ],
    low[1],
    high[1],
  );
}

/**
 * A plan outline (x, z; clockwise as seen from above, which is x towards z) raised from `bottom` to
 * `top`. With a bevel the upper rim is cut at 45° by that many metres.
 * @param outline corners over the map, m
 * @param bottom height of its lower face, m
 * @param top of its upper face, m
 * @param bevel by how much its upper edges are cut, m
 */
export function prism(
  outline: readonly Vec2[],
  bottom: number,
  top: number,
  bevel = 0,
): Polyhedron {
  if (bevel === 0) return loft(outline, bottom, outline, top);
  // A rim cut deeper than its shortest edge allows would fold over itself.
  const cut = Math.min(bevel, 0.8 * deepestInset(outline));
  return stack([
    { outline, y: bottom },
    { outline, y: top - cut },
    { outline: inset(outline, cut), y: top },
  ]);
}

/**
 * Two outlines of as many corners, joined: a frustum, or a cone when the upper one is tiny.
 * @param lower corners of the lower face over the map, m
 * @param bottom its height, m
 * @param upper as many corners of the upper one
 * @param top its height, m
 */
export const loft = (
  lower: readonly Vec2[],
  bottom: number,
  upper: readonly Vec2[],
  top: number,
): Polyhedron =>
  stack([
    { outline: lower, y: bottom },
    { outline: upper, y: top },
  ]);

interface Ring {
  readonly outline: readonly Vec2[];
  readonly y: number;
}

/** Rings of as many corners each, from the bottom up, joined into one solid (convex if they are). */
export function stack(rings: readonly Ring[]): Polyhedron {
  const n = rings[0].outline.length;
  const points = rings.flatMap(({ outline, y }) => outline.map(([x, z]): Vec3 => [x, y, z]));
  const corners = Array.from({ length: n }, (_, i) => i);
  const last = (rings.length - 1) * n;
  const faces: number[][] = [corners, corners.map((i) => last + n - 1 - i)];
  for (let ring = 0; ring < rings.length - 1; ring++) {
    const low = ring * n;
    for (const i of corners) {
      const j = (i + 1) % n;
      faces.push([low + j, low + i, low + n + i, low + n + j]);
    }
  }
  return { points, faces };
}

/** A regular outline of `sides` corners within a circle, the first edge square to x. */
export function regularOutline(sides: number, radius: number): Vec2[] {
  return Array.from({ length: sides }, (_, i): Vec2 => {
    const angle = ((i + 0.5) * 360) / sides;
    return [radius * cosDeg(angle), radius * sinDeg(angle)];
  });
}

/** A rectangle about the origin with its corners cut by `cut` metres: eight corners. */
export function cutRectangle(width: number, depth: number, cut: number): Vec2[] {
  const [x, z] = [width / 2, depth / 2];
  return [
    [x, -z + cut],
    [x, z - cut],
    [x - cut, z],
    [-x + cut, z],
    [-x, z - cut],
    [-x, -z + cut],
    [-x + cut, -z],
    [x - cut, -z],
  ];
}

/** A quarter of a weathered stone's outline, as parts of its half width and half depth. */
const WEATHERED: readonly Vec2[] = [
  [1, 0.36],
  [0.95, 0.74],
  [0.74, 0.95],
  [0.36, 1],
];

/** A rounded-off rectangle about the origin, as stone weathers: sixteen corners. */
export function stoneOutline(width: number, depth: number): Vec2[] {
  const [x, z] = [width / 2, depth / 2];
  const quarter = WEATHERED.map(([u, v]): Vec2 => [u * x, v * z]);
  const mirrored = quarter.map(([u, v]): Vec2 => [-u, v]).reverse();
  const front = [...quarter, ...mirrored];
  return [...front, ...front.map(([u, v]): Vec2 => [-u, -v])];
}

/** The outline moved inwards by `by` metres along each edge's normal. */
function inset(outline: readonly Vec2[], by: number): Vec2[] {
  const n = outline.length;
  return outline.map((p, i) => {
    const before = outline[(i + n - 1) % n];
    const after = outline[(i + 1) % n];
    const [ax, az] = inward(before, p);
    const [bx, bz] = inward(p, after);
    const k = by / (1 + ax * bx + az * bz);
    return [p[0] + (ax + bx) * k, p[1] + (az + bz) * k];
  });
}

/** How far an outline can be moved inwards before its first edge is gone, m. */
function deepestInset(outline: readonly Vec2[]): number {
  const n = outline.length;
  const normals = outline.map((p, i) => inward(p, outline[(i + 1) % n]));
  /** By how much an edge shortens at a corner for each metre: the tangent of half its turn. */
  const shortens = ([ax, az]: Vec2, [bx, bz]: Vec2) =>
    Math.abs(ax * bz - az * bx) / (1 + ax * bx + az * bz);
  return Math.min(
    ...outline.map(([x, z], i) => {
      const [nx, nz] = outline[(i + 1) % n];
      const length = Math.sqrt((nx - x) * (nx - x) + (nz - z) * (nz - z));
      const lost =
        shortens(normals[(i + n - 1) % n], normals[i]) + shortens(normals[i], normals[(i + 1) % n]);
      return length / lost;
    }),
  );
}

function inward(a: Vec2, b: Vec2): Vec2 {
  const [x, z] = [b[0] - a[0], b[1] - a[1]];
  const l = Math.sqrt(x * x + z * z);
  return [-z / l, x / l];
}
