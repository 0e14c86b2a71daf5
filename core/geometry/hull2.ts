import type { Vec2 } from './vec';

/**
 * The convex hull of points in the plane, anticlockwise, by Andrew's monotone chain (1979).
 * Fewer than three points come back as they are.
 */
export function convexHull(points: readonly Vec2[]): Vec2[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  if (sorted.length < 3) return sorted;
  const half = (list: readonly Vec2[]) => {
    const chain: Vec2[] = [];
    for (const p of list) {
      while (chain.length > 1 && turns(chain[chain.length - 2], chain[chain.length - 1], p) <= 0) {
        chain.pop();
      }
      chain.push(p);
    }
    chain.pop();
    return chain;
  };
  return [...half(sorted), ...half(sorted.reverse())];
}

const turns = (a: Vec2, b: Vec2, c: Vec2): number =>
  (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
