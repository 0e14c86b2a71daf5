import { fromSection, type Frame } from './frame';
import { convexSolid } from './hull3';
import { faceNormal, type Polyhedron } from './polyhedron';
import { add, dot, length, lerp, scale, sub, type Vec2, type Vec3 } from './vec';

/** A convex cross-section: corners to the right and up, anticlockwise as seen looking ahead. */
export type Section = readonly Vec2[];

/** A cubic curve by its four control points (Bézier). */
export type Cubic = readonly [Vec3, Vec3, Vec3, Vec3];

/**
 * The exact form of a stretch of a sweep: the curve that each corner of its section goes along, in the section's
 * order. A face between two corners is made of the straight lines from one curve to the other. Whatever maps points
 * and keeps straight lines straight may be done to the control points.
 */
export type Swept = readonly Cubic[];

/** A copy with every control point moved by `change`, which must not mirror. */
export const mapSwept = (swept: Swept, change: (p: Vec3) => Vec3): Swept =>
  swept.map(([a, b, c, d]): Cubic => [change(a), change(b), change(c), change(d)]);

/** One stretch of a cross-section carried along a way. */
export interface Stretch {
  /** A convex solid with flat faces that stands for it. */
  readonly solid: Polyhedron;
  /** Its exact form, where flat faces do not say all. */
  readonly swept?: Swept;
}

/** How far a corner may lie off a face that is taken as flat, m. */
const FLAT = 1e-9;
/** How far what is drawn may lie off the true surface, m. */
const DRAWN = 0.004;
/** Most stretches of one way, and most strips across it. */
const [MOST_STRETCHES, MOST_STRIPS] = [256, 16];
/** Part of a way over which its direction is measured. */
const STEP = 1e-4;
/** How many places of a way are looked at to see how much it bends. */
const LOOKS = 32;

/** Where a cubic curve is at a part of it, 0 to 1. */
export function cubicAt([a, b, c, d]: Cubic, u: number): Vec3 {
  const v = 1 - u;
  const [i, j, k, l] = [v * v * v, 3 * v * v * u, 3 * v * u * u, u * u * u];
  return [
    i * a[0] + j * b[0] + k * c[0] + l * d[0],
    i * a[1] + j * b[1] + k * c[1] + l * d[1],
    i * a[2] + j * b[2] + k * c[2] + l * d[2],
  ];
}

/** A way by the part of it that is gone, 0 to 1, and what is carried along it. */
export interface Sweep {
  readonly frame: (k: number) => Frame;
  readonly section: (k: number) => Section;
}

const cornersAt = ({ frame, section }: Sweep, k: number): Vec3[] => {
  const at = frame(k);
  return section(k).map((p) => fromSection(at, p));
};

/** Into how many stretches a way is cut, so that straight lines lie close enough to all that goes along it. */
function stretchesOf(sweep: Sweep): number {
  let most = 0;
  const h = 1 / LOOKS;
  const rings = Array.from({ length: LOOKS + 1 }, (_, i) => cornersAt(sweep, i * h));
  for (let i = 1; i < LOOKS; i++) {
    rings[i].forEach((p, c) => {
      const bend = sub(add(rings[i - 1][c], rings[i + 1][c]), scale(p, 2));
      most = Math.max(most, length(bend) / (h * h));
    });
  }
  return Math.min(MOST_STRETCHES, Math.max(1, Math.ceil(Math.sqrt(most / (8 * DRAWN)))));
}

/**
 * A cross-section carried along a smooth way: one stretch for every part of it that is all but straight.
 * @param sweep the way, told a little beyond both its ends too, and the section; always of as many corners
 */
export function sweepAlong(sweep: Sweep): Stretch[] {
  const n = stretchesOf(sweep);
  const rings = Array.from({ length: n + 1 }, (_, i) => cornersAt(sweep, i / n));
  const paces = rings.map((_, i) => {
    const [before, after] = [cornersAt(sweep, i / n - STEP), cornersAt(sweep, i / n + STEP)];
    return after.map((p, c) => scale(sub(p, before[c]), 1 / (6 * STEP * n)));
  });
  return rings.slice(1).map((ring, i) => {
    const solid = between(rings[i], ring);
    const swept = ring.map((p, c): Cubic => [
      rings[i][c],
      add(rings[i][c], paces[i][c]),
      sub(p, paces[i + 1][c]),
      p,
    ]);
    return swept.every(isStraight) && isConvex(solid) && solid.faces.length === ring.length + 2
      ? { solid }
      : { solid, swept };
  });
}

/** How far a curve may lie off a straight line and be one, m. */
const STRAIGHT = 1e-7;
const isStraight = ([a, b, c, d]: Cubic): boolean =>
  length(sub(b, lerp(a, d, 1 / 3))) < STRAIGHT && length(sub(c, lerp(a, d, 2 / 3))) < STRAIGHT;

/**
 * What is seen of stretches that follow on one another and whose faces are twisted: a closed solid for each, which is
 * not convex, cut finely enough to lie close to the true surface; or null where the stretches' own solids do.
 */
export function twistedMeshes(stretches: readonly Stretch[]): Polyhedron[] | null {
  const ways = stretches.flatMap(({ swept }) => (swept ? [swept] : []));
  if (ways.length === 0 || ways.length < stretches.length) return null;
  const corners = ways[0].length;
  const strips = Array.from({ length: corners }, (_, c) =>
    Math.max(...ways.map((swept) => stripsOf(swept[c], swept[(c + 1) % corners]))),
  );
  // A solid that is the hull of a twisted stretch has its ends cut in triangles, which do not cancel each other.
  const whole = stretches.every(({ solid }) => solid.faces.length === corners + 2);
  if (whole && strips.every((n) => n === 1)) return null;
  const ring = (ends: readonly Vec3[]): Vec3[] =>
    ends.flatMap((p, c) =>
      Array.from({ length: strips[c] }, (_, i) => lerp(p, ends[(c + 1) % corners], i / strips[c])),
    );
  return ways.map((swept): Polyhedron => {
    const rings = [ring(swept.map(([a]) => a)), ring(swept.map(([, , , d]) => d))];
    const n = rings[0].length;
    const around = rings[0].map((_, i) => i);
    return {
      points: rings.flat(),
      faces: [
        around,
        around.map((i) => 2 * n - 1 - i),
        ...around.flatMap((i) => {
          const j = (i + 1) % n;
          return [
            [i, n + i, n + j],
            [i, n + j, j],
          ];
        }),
      ],
    };
  });
}

/** Into how many strips a face between two corners' curves is cut, so that two triangles lie close to each. */
function stripsOf(from: Cubic, to: Cubic): number {
  const [a, b, c, d] = [from[0], from[3], to[3], to[0]];
  const twist = sub(add(a, c), add(b, d));
  const normal = faceNormal({ points: [a, b, c, d], faces: [] }, [0, 1, 2, 3]);
  return Math.min(MOST_STRIPS, Math.max(1, Math.ceil(Math.abs(dot(twist, normal)) / 4 / DRAWN)));
}

/** The solid between two rings of as many corners; where it twists, the hull of both. */
function between(a: readonly Vec3[], b: readonly Vec3[]): Polyhedron {
  const n = a.length;
  const corners = a.map((_, i) => i);
  const solid: Polyhedron = {
    points: [...a, ...b],
    faces: [
      corners,
      corners.map((i) => 2 * n - 1 - i),
      ...corners.map((i) => {
        const j = (i + 1) % n;
        return [i, n + i, n + j, j];
      }),
    ],
  };
  return isConvex(solid) ? solid : convexSolid(solid.points);
}

/** Whether all faces are flat and no corner lies outside any of them. */
function isConvex(solid: Polyhedron): boolean {
  return solid.faces.every((face) => {
    const n = faceNormal(solid, face);
    const first = solid.points[face[0]];
    return (
      face.every((i) => Math.abs(dot(n, sub(solid.points[i], first))) < FLAT) &&
      solid.points.every((p) => dot(n, sub(p, first)) < FLAT)
    );
  });
}
