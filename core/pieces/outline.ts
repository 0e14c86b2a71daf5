import type { OutlineCorner, PieceOutline } from '../course';
import {
  convexParts,
  prism,
  selfCrossing,
  signedArea,
  turnedRight,
  type Polyhedron,
  type Vec2,
  type Vec3,
} from '../geometry';

/** Halvings of an arc: eight stretches. */
const HALVINGS = 3;

/** Adds the points of an arc after `a` up to and without `b`; `bulge` as in the document. */
function arcPoints(a: Vec2, b: Vec2, bulge: number, halvings: number, out: Vec2[]): void {
  if (halvings === 0 || Math.abs(bulge) < 1e-6) return;
  const [dx, dz] = [b[0] - a[0], b[1] - a[1]];
  const mid: Vec2 = [(a[0] + b[0]) / 2 + (dz * bulge) / 2, (a[1] + b[1]) / 2 - (dx * bulge) / 2];
  // The bulge is the tangent of a quarter of the arc's angle; halving the arc halves the angle.
  const half = bulge / (1 + Math.sqrt(1 + bulge * bulge));
  arcPoints(a, mid, half, halvings - 1, out);
  out.push(mid);
  arcPoints(mid, b, half, halvings - 1, out);
}

/** The rim's corners as drawn: rounded corners and pushed-out edges as short stretches. */
export function rimPoints(corners: readonly OutlineCorner[]): Vec2[] {
  const n = corners.length;
  const ends = corners.map((corner, i): { into: Vec2; out: Vec2; bulge: number } => {
    const at: Vec2 = [corner.at[0], corner.at[1]];
    const [before, after] = [corners[(i + n - 1) % n], corners[(i + 1) % n]];
    if (!corner.round || corner.bulge || before.bulge) return { into: at, out: at, bulge: 0 };
    const towards = (to: OutlineCorner): { unit: Vec2; length: number } => {
      const [x, z] = [to.at[0] - at[0], to.at[1] - at[1]];
      const length = Math.sqrt(x * x + z * z) || 1;
      return { unit: [x / length, z / length], length };
    };
    const [u, v] = [towards(before), towards(after)];
    const cos = -(u.unit[0] * v.unit[0] + u.unit[1] * v.unit[1]);
    if (cos > 0.9999) return { into: at, out: at, bulge: 0 };
    const tan = Math.sqrt((1 - cos) / (1 + cos));
    const reach = Math.min(corner.round * tan, u.length * 0.48, v.length * 0.48);
    const side = u.unit[0] * v.unit[1] - u.unit[1] * v.unit[0] > 0 ? -1 : 1;
    return {
      into: [at[0] + u.unit[0] * reach, at[1] + u.unit[1] * reach],
      out: [at[0] + v.unit[0] * reach, at[1] + v.unit[1] * reach],
      bulge: (side * tan) / (1 + Math.sqrt(1 + tan * tan)),
    };
  });
  const points: Vec2[] = [];
  ends.forEach(({ into, out, bulge }, i) => {
    points.push(into);
    if (bulge !== 0) {
      arcPoints(into, out, bulge, HALVINGS, points);
      points.push(out);
    }
    arcPoints(out, ends[(i + 1) % n].into, corners[i].bulge ?? 0, HALVINGS, points);
  });
  return points;
}

/** Every rim of an outline: its own first, then its holes'. */
export const rims = ({ points, holes }: PieceOutline): Vec2[][] => [
  rimPoints(points),
  ...(holes ?? []).map(rimPoints),
];

/** Why an outline cannot be a platform, with the place where it crosses itself, or null. */
export function outlineFault(outline: PieceOutline): { message: string; at?: Vec2 } | null {
  if (outline.points.length < 3) return { message: 'An outline needs at least three points.' };
  const all = rims(outline);
  const crossing = selfCrossing(all);
  if (crossing) return { message: 'The outline would cross itself here.', at: crossing };
  if (Math.abs(signedArea(all[0])) < 0.02) return { message: 'The outline has no area.' };
  return null;
}

/** The solid that is drawn for a platform, in one, and the convex ones that touch. */
export function platformSolids(
  outline: PieceOutline,
  height: number,
  bevel: number,
): { drawn: Polyhedron; convex: Polyhedron[] } {
  const [rim, ...holes] = rims(outline);
  const { points, parts } = convexParts(rim, holes);
  const convex = parts.map((part) =>
    prism(
      part.map((i) => points[i]),
      0,
      height,
    ),
  );
  const rings = [turnedRight(rim), ...holes.map((hole) => turnedRight(hole).reverse())];
  const cut = Math.min(bevel, height / 3);
  const tops = rings.map((ring) => insetRing(ring, cut)).flat();
  const n = points.length;
  const layers: { y: number; at: readonly Vec2[] }[] =
    cut > 0
      ? [
          { y: 0, at: points },
          { y: height - cut, at: points },
          { y: height, at: tops },
        ]
      : [
          { y: 0, at: points },
          { y: height, at: points },
        ];
  const top = (layers.length - 1) * n;
  const faces: number[][] = parts.flatMap((part) => [
    [...part],
    [...part].reverse().map((i) => top + i),
  ]);
  let first = 0;
  for (const ring of rings) {
    for (let layer = 0; layer + 1 < layers.length; layer++) {
      for (let i = 0; i < ring.length; i++) {
        const [a, b] = [first + i, first + ((i + 1) % ring.length)];
        const low = layer * n;
        faces.push([low + b, low + a, low + n + a, low + n + b]);
      }
    }
    first += ring.length;
  }
  return {
    drawn: {
      points: layers.flatMap(({ y, at }) => at.map(([x, z]): Vec3 => [x, y, z])),
      faces,
    },
    convex,
  };
}

/** A ring moved into the solid by metres, corner by corner. */
function insetRing(ring: readonly Vec2[], by: number): Vec2[] {
  if (by === 0) return [...ring];
  const n = ring.length;
  const inward = (a: Vec2, b: Vec2): Vec2 => {
    const [x, z] = [b[0] - a[0], b[1] - a[1]];
    const l = Math.sqrt(x * x + z * z) || 1;
    return [-z / l, x / l];
  };
  return ring.map((p, i) => {
    const a = inward(ring[(i + n - 1) % n], p);
    const b = inward(p, ring[(i + 1) % n]);
    const k = by / Math.max(0.3, 1 + a[0] * b[0] + a[1] * b[1]);
    return [p[0] + (a[0] + b[0]) * k, p[1] + (a[1] + b[1]) * k];
  });
}
