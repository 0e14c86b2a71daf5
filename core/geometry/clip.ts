import type { Vec2 } from './vec';

/**
 * What of one convex outline lies within another, both on one plane (Sutherland and Hodgman, 1974).
 * @param within gone round so that its inside is to the left: anticlockwise where the second axis points up
 * @returns the corners of what is left; fewer than three where nothing is
 */
export function clipConvex(outline: readonly Vec2[], within: readonly Vec2[]): Vec2[] {
  let left: readonly Vec2[] = outline;
  within.forEach((a, i) => {
    const b = within[(i + 1) % within.length];
    const side = ([x, y]: Vec2) => (b[0] - a[0]) * (y - a[1]) - (b[1] - a[1]) * (x - a[0]);
    const kept: Vec2[] = [];
    left.forEach((p, k) => {
      const q = left[(k + 1) % left.length];
      const [sp, sq] = [side(p), side(q)];
      if (sp >= 0) kept.push(p);
      if (sp >= 0 === sq >= 0) return;
      const part = sp / (sp - sq);
      kept.push([p[0] + (q[0] - p[0]) * part, p[1] + (q[1] - p[1]) * part]);
    });
    left = kept;
  });
  return [...left];
}
