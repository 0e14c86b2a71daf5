import { ballAt } from './ball.testing';
import fc from 'fast-check';
import { cases } from '../deep.testing';
import { box, mapVec3, mergedFaces, type Polyhedron, sub, type Vec3 } from '../geometry';
import { clearance, inflateHull, newClearance, newTouch, sweep } from '.';
import { anyPrism, cutUp, inTriangles } from './cuts.testing';

const metres = (reach: number) =>
  fc.integer({ min: -reach * 1e4, max: reach * 1e4 }).map((n) => n / 1e4);
const point = (reach: number): fc.Arbitrary<Vec3> =>
  fc.tuple(metres(reach), metres(reach), metres(reach));

const sample = fc.record({
  solid: anyPrism,
  parts: fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 4, maxLength: 12 }),
  turn: fc.integer({ min: 0, max: 7 }),
  half: fc.constantFrom(0, 0.2, 0.7),
  radius: fc.constantFrom(0, 0.1, 0.35),
  from: point(3),
  to: point(1.5),
});

/** What a ball meets on its way to a place, and how far its start is from the solid. */
function met(solid: Polyhedron, half: number, radius: number, from: Vec3, to: Vec3) {
  const body = inflateHull(solid, half);
  const touch = newTouch();
  const hit = sweep(body, ballAt(from, radius, sub(to, from)), touch);
  const gap = clearance(body, ballAt(from, radius), newClearance());
  return { hit, t: touch.t, distance: gap.distance };
}

test('a solid told in triangles, or with its faces cut at random, is met as the same', () => {
  let hits = 0;
  fc.assert(
    fc.property(sample, ({ solid, parts, turn, half, radius, from, to }) => {
      const whole = met(solid, half, radius, from, to);
      if (whole.hit) hits++;
      for (const other of [inTriangles(solid, turn), cutUp(solid, parts)]) {
        const same = met(other, half, radius, from, to);
        if (Math.abs(same.distance - whole.distance) > 1e-8) return false;
        if (Math.abs(same.t - whole.t) < 1e-7) continue;
        // A graze may be called either way.
        const end = (k: number): Vec3 => mapVec3((i) => from[i] + (to[i] - from[i]) * k);
        const t = Math.min(same.t, whole.t);
        const after = met(solid, half, radius, end(Math.min(1, t + 1e-4)), to).distance;
        if (after < -1e-6) return false;
      }
      return true;
    }),
    { numRuns: cases(5000), seed: 12, endOnFailure: true },
  );
  expect(hits).toBeGreaterThan(cases(1000));
});

test('faces all but in one plane, too far off to be made one, leave no hole between them', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -15, max: -8 }),
      metres(0.9),
      metres(0.9),
      fc.constantFrom(0, 0.25),
      (power, x, z, half) => {
        // The roof of a box is two triangles whose seam stands a hair above or below the others.
        const solid = inTriangles(box([-1, -1, -1], [1, 1, 1]));
        const raised: Polyhedron = {
          ...solid,
          points: solid.points.map((p): Vec3 =>
            p[0] > 0 && p[1] > 0 && p[2] > 0 ? [p[0], p[1] + 10 ** power, p[2]] : p,
          ),
        };
        const touch = newTouch();
        expect(sweep(inflateHull(raised, half), ballAt([x, 3, z], 0.2, [0, -3, 0]), touch)).toBe(
          true,
        );
        expect(3 - 3 * touch.t).toBeCloseTo(1 + half + 0.2, 5);
      },
    ),
    { numRuns: cases(2000), seed: 3 },
  );
});

test('merging finds the faces that were cut, and leaves whole ones as they are', () => {
  const cube = box([-1, -1, -1], [1, 1, 1]);
  expect(mergedFaces(cube)).toBe(cube.faces);
  expect(mergedFaces(inTriangles(cube))).toHaveLength(6);
  fc.assert(
    fc.property(
      anyPrism,
      fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 5 }),
      (solid, parts) => {
        expect(mergedFaces(cutUp(solid, parts))).toHaveLength(solid.faces.length);
      },
    ),
    { numRuns: cases(500), seed: 5 },
  );
  // A sliver along an edge has no area and no normal of its own; it goes with either face beside it.
  const [bottom, , ...sides] = cube.faces;
  const [a, b] = bottom;
  const on = cube.points.length;
  const middle = cube.points[a].map((v, i) => (v + cube.points[b][i]) / 2) as unknown as Vec3;
  const top = cube.faces[1];
  const split: Polyhedron = {
    points: [...cube.points, middle],
    faces: [[a, on, ...bottom.slice(1)], top, ...sides, [b, on, a]],
  };
  expect(mergedFaces(split)).toHaveLength(6);
});
