import earcut from 'earcut';
import type { Vec2 } from './vec';

/** Twice the signed area of a polygon; above zero where x turns towards the second axis. */
export function signedArea(points: readonly Vec2[]): number {
  let sum = 0;
  points.forEach(([x, y], i) => {
    const [nx, ny] = points[(i + 1) % points.length];
    sum += x * ny - nx * y;
  });
  return sum;
}

/** The polygon so that x turns towards the second axis. */
export const turnedRight = (points: readonly Vec2[]): Vec2[] =>
  signedArea(points) < 0 ? [...points].reverse() : [...points];

const cross = (a: Vec2, b: Vec2, c: Vec2): number =>
  (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

/**
 * Where two stretches cross or touch, or null.
 * @param a where one stretch begins, m
 * @param b where it ends
 * @param c where the other begins
 * @param d where that ends
 */
export function crossingOf(a: Vec2, b: Vec2, c: Vec2, d: Vec2): Vec2 | null {
  const pace = (b[0] - a[0]) * (d[1] - c[1]) - (b[1] - a[1]) * (d[0] - c[0]);
  if (Math.abs(pace) < 1e-12) return null;
  const t = ((c[0] - a[0]) * (d[1] - c[1]) - (c[1] - a[1]) * (d[0] - c[0])) / pace;
  const u = ((c[0] - a[0]) * (b[1] - a[1]) - (c[1] - a[1]) * (b[0] - a[0])) / pace;
  if (t < 0 || t > 1 || u < 0 || u > 1) return null;
  return [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
}

/** The first place where the rims of rings cross themselves or each other, or null. */
export function selfCrossing(rings: readonly (readonly Vec2[])[]): Vec2 | null {
  const edges = rings.flatMap((ring, r) =>
    ring.map((p, i) => ({ r, i, n: ring.length, a: p, b: ring[(i + 1) % ring.length] })),
  );
  for (let i = 0; i < edges.length; i++) {
    for (let j = i + 1; j < edges.length; j++) {
      const [p, q] = [edges[i], edges[j]];
      const beside =
        p.r === q.r && (q.i - p.i === 1 || (p.i === 0 && q.i === p.n - 1) || p.i === q.i);
      if (beside) continue;
      const found = crossingOf(p.a, p.b, q.a, q.b);
      if (found) return found;
    }
  }
  return null;
}

/** Whether a point lies within a ring (even-odd rule). */
export function isWithin(ring: readonly Vec2[], [x, y]: Vec2): boolean {
  let inside = false;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [a, b] = [ring[i], ring[j]];
    if (a[1] > y !== b[1] > y && x < ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1]) + a[0]) {
      inside = !inside;
    }
  }
  return inside;
}

/**
 * A polygon with holes in convex parts: cut into triangles, then joined again over every cut that is
 * not needed (Hertel and Mehlhorn, 1983; at most four times the fewest).
 * @returns the corners of all rings in one list, and each part as places in it
 */
export function convexParts(
  outline: readonly Vec2[],
  holes: readonly (readonly Vec2[])[] = [],
): { points: Vec2[]; parts: number[][] } {
  const points = [turnedRight(outline), ...holes.map((hole) => turnedRight(hole).reverse())].flat();
  const starts: number[] = [];
  let at = outline.length;
  for (const hole of holes) {
    starts.push(at);
    at += hole.length;
  }
  const cuts = earcut(points.flat(), starts);
  const parts: (number[] | null)[] = [];
  for (let i = 0; i < cuts.length; i += 3) {
    const part = [cuts[i], cuts[i + 1], cuts[i + 2]];
    const turn = cross(points[part[0]], points[part[1]], points[part[2]]);
    if (Math.abs(turn) > 1e-12) parts.push(turn > 0 ? part : part.reverse());
  }
  mergeConvex(points, parts);
  return { points, parts: parts.filter((part) => part !== null) };
}

function mergeConvex(points: readonly Vec2[], parts: (number[] | null)[]): void {
  const owner = new Map<string, number>();
  parts.forEach((part, p) =>
    part?.forEach((a, i) => owner.set(`${a} ${part[(i + 1) % part.length]}`, p)),
  );
  for (let p = 0; p < parts.length; p++) {
    let again = true;
    while (again) {
      again = false;
      const part = parts[p];
      if (!part) break;
      for (let i = 0; i < part.length; i++) {
        const [a, b] = [part[i], part[(i + 1) % part.length]];
        const q = owner.get(`${b} ${a}`);
        const other = q === undefined || q === p ? null : parts[q];
        if (q === undefined || !other) continue;
        const k = other.indexOf(b);
        // The other part's corners from a round to b, between this part's a and b.
        const joined = [
          ...part.slice(0, i + 1),
          ...Array.from({ length: other.length - 2 }, (_, n) => other[(k + 2 + n) % other.length]),
          ...part.slice(i + 1),
        ];
        if (!isConvexRing(points, joined)) continue;
        parts[p] = joined;
        parts[q] = null;
        joined.forEach((c, n) => owner.set(`${c} ${joined[(n + 1) % joined.length]}`, p));
        again = true;
        break;
      }
    }
  }
}

const isConvexRing = (points: readonly Vec2[], ring: readonly number[]): boolean =>
  ring.every((_, i) => {
    const [a, b, c] = [0, 1, 2].map((n) => points[ring[(i + n) % ring.length]]);
    return cross(a, b, c) > -1e-10;
  });
