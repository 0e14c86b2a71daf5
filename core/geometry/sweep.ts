import { fromSection, type Frame } from './frame';
import { convexSolid } from './hull3';
import { faceNormal, type Polyhedron } from './polyhedron';
import { dot, sub, type Vec2, type Vec3 } from './vec';

/** A convex cross-section: corners to the right and up, anticlockwise as seen looking ahead. */
export type Section = readonly Vec2[];

/** How far a corner may lie off a face that is taken as flat, m. */
const FLAT = 1e-9;

/**
 * A cross-section carried along a way: one convex solid between every two frames.
 * @param sectionAt the cross-section at each frame; always of as many corners
 */
export function sweepAlong(
  frames: readonly Frame[],
  sectionAt: (index: number) => Section,
): Polyhedron[] {
  const rings = frames.map((frame, i) => sectionAt(i).map((p) => fromSection(frame, p)));
  return rings.slice(1).map((ring, i) => between(rings[i], ring));
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
