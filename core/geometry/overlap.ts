import { faceNormal, type Polyhedron } from './polyhedron';
import { cross, dot, normalize, scale, sub, type Vec3 } from './vec';

/** How far two solids lie in one another, and the least way that brings the second out of the first. */
export interface Overlap {
  /** Metres. */
  readonly depth: number;
  /** As long as the depth. */
  readonly way: Vec3;
}

/** Directions of edges beyond which pairs of them are not looked at: round solids are parted by their faces. */
const MOST_EDGES = 12;
const SAME = 1e-6;

/**
 * By how much two convex solids overlap, or null where they do not: the least overlap over every direction that
 * can part them (separating axis theorem; Gottschalk, Lin and Manocha, 1996).
 */
export function overlapOf(a: Polyhedron, b: Polyhedron): Overlap | null {
  let best: Overlap | null = null;
  for (const axis of axesOf(a, b)) {
    const [lowA, highA] = spanAlong(a.points, axis);
    const [lowB, highB] = spanAlong(b.points, axis);
    const [ahead, back] = [highA - lowB, highB - lowA];
    const depth = Math.min(ahead, back);
    if (depth <= 0) return null;
    if (!best || depth < best.depth)
      best = { depth, way: scale(axis, ahead < back ? depth : -depth) };
  }
  return best;
}

/** Least and greatest of some places along a direction. */
function spanAlong(points: readonly Vec3[], axis: Vec3): [number, number] {
  let [low, high] = [Infinity, -Infinity];
  for (const p of points) {
    const d = dot(p, axis);
    if (d < low) low = d;
    if (d > high) high = d;
  }
  return [low, high];
}

function axesOf(a: Polyhedron, b: Polyhedron): Vec3[] {
  const axes = [a, b].flatMap((solid) => solid.faces.map((face) => faceNormal(solid, face)));
  const [edgesA, edgesB] = [edgeWays(a), edgeWays(b)];
  if (edgesA.length > MOST_EDGES || edgesB.length > MOST_EDGES) return axes;
  for (const u of edgesA) {
    for (const v of edgesB) {
      const n = cross(u, v);
      if (dot(n, n) > SAME) axes.push(normalize(n));
    }
  }
  return axes;
}

/** The directions of a solid's edges, each once. */
function edgeWays({ points, faces }: Polyhedron): Vec3[] {
  const ways: Vec3[] = [];
  for (const face of faces) {
    face.forEach((from, i) => {
      const way = normalize(sub(points[face[(i + 1) % face.length]], points[from]));
      if (!ways.some((one) => Math.abs(dot(one, way)) > 1 - SAME)) ways.push(way);
    });
    if (ways.length > MOST_EDGES) break;
  }
  return ways;
}
