import { ballAt } from './ball.testing';
import RAPIER from '@dimforge/rapier3d-compat';
import { QuickHull } from 'quickhull3d/dist/quickhull3d.js';
import fc from 'fast-check';
import { add, box, faceNormal, type Polyhedron, scale, type Vec3 } from '../geometry';
import {
  ballBody,
  clearance,
  inflateHull,
  newClearance,
  newTouch,
  sweep,
  type InflatedHull,
} from '.';
import { cases } from '../deep.testing';

const MILLIMETRE = 1e-3;

/** A number in steps of a tenth of a millimetre: lengths of 1e-300 m say nothing about courses. */
const metres = (min: number, max: number) =>
  fc.integer({ min: Math.ceil(min * 1e4), max: Math.floor(max * 1e4) }).map((n) => n / 1e4);
const coordinate = (reach: number) => metres(-reach, reach);
const point = (reach: number) => fc.tuple(coordinate(reach), coordinate(reach), coordinate(reach));

/** The solid without the points that lie inside it. */
function onlyCorners(points: readonly Vec3[], faces: number[][]): Polyhedron {
  const used = [...new Set(faces.flat())];
  return {
    points: used.map((i) => points[i]),
    faces: faces.map((face) => face.map((i) => used.indexOf(i))),
  };
}

/** A convex solid about random points, with its flat faces whole. */
const solid = fc
  .array(point(1.5), { minLength: 5, maxLength: 14 })
  .map((points): Polyhedron | null => {
    try {
      const hull = new QuickHull(points as [number, number, number][]);
      hull.build();
      return onlyCorners(points, hull.collectFaces(false));
    } catch {
      return null;
    }
  })
  .filter((hull): hull is Polyhedron => {
    if (!hull || hull.faces.length < 4) return false;
    // Slivers thinner than the oracle's own slack say nothing.
    const thickness = Math.min(
      ...hull.faces.map((face) => {
        const n = faceNormal(hull, face);
        const depths = hull.points.map((p) => n[0] * p[0] + n[1] * p[1] + n[2] * p[2]);
        return Math.max(...depths) - Math.min(...depths);
      }),
    );
    const areas = hull.faces.every((face) => faceNormal(hull, face).some((c) => Math.abs(c) > 0.1));
    return thickness > 0.1 && areas;
  });

const sweepCase = fc.record({
  solid,
  half: metres(0, 0.8),
  radius: metres(0.1, 0.6),
  from: point(1).map((p): Vec3 => {
    const l = Math.hypot(...p);
    return l === 0 ? [5, 0, 0] : scale(p, 5 / l);
  }),
  aim: point(1.8),
  reach: metres(0.5, 2.5),
});

beforeAll(async () => {
  await RAPIER.init();
});

type Case = typeof sweepCase extends fc.Arbitrary<infer T> ? T : never;

const displacement = ({ from, aim, reach }: Case): Vec3 => [
  (aim[0] - from[0]) * reach,
  (aim[1] - from[1]) * reach,
  (aim[2] - from[2]) * reach,
];

test('sweeps agree with a reference library within a millimetre on random shapes', () => {
  const still = { x: 0, y: 0, z: 0, w: 1 };
  const zero = { x: 0, y: 0, z: 0 };
  let hits = 0;
  const agrees = (sample: Case) => {
    const { solid, half, radius, from } = sample;
    const hull = new RAPIER.ConvexPolyhedron(new Float32Array(solid.points.flat()), null);
    const capsule = new RAPIER.Capsule(half, radius);
    const d = displacement(sample);
    const at = (t: number) => ({
      x: from[0] + d[0] * t,
      y: from[1] + d[1] * t,
      z: from[2] + d[2] * t,
    });
    const v = { x: d[0], y: d[1], z: d[2] };
    const expected = capsule.castShape(at(0), still, v, hull, zero, still, zero, 0, 1, true);
    const touch = newTouch();
    const body = inflateHull(solid, half);
    if (!sweep(body, ballAt(from, radius, d), touch)) {
      // The library may stop at a graze; it must not be one that goes in.
      return !expected || nearest(body, from, d, radius) > -MILLIMETRE;
    }
    hits++;
    const length = Math.hypot(...d);
    if (expected && Math.abs(expected.time_of_impact - touch.t) * length < MILLIMETRE) return true;
    // The library may stop some millimetres along the path before or after touching, which its own
    // measure of the gap shows. Where we stop, that measure must find the surfaces together (asked a
    // tenth of a millimetre before, as it gives no answer for surfaces that just touch).
    const before = at(touch.t - 1e-4 / length);
    const gap = capsule.contactShape(before, still, hull, zero, still, 0.1)?.distance;
    return gap !== undefined && Math.abs(gap) < MILLIMETRE;
  };
  fc.assert(fc.property(sweepCase, agrees), {
    numRuns: cases(10_000),
    seed: 20,
    endOnFailure: true,
  });
  expect(hits).toBeGreaterThan(cases(4000));
});

/** The least clearance along a path, found by sampling and halving. */
function nearest(body: InflatedHull, from: Vec3, d: Vec3, radius: number): number {
  const at = (t: number) =>
    clearance(body, ballAt(add(from, scale(d, t)), radius), newClearance()).distance;
  let best = 0;
  for (let i = 0; i <= 400; i++) if (at(i / 400) < at(best)) best = i / 400;
  for (let step = 1 / 400; step > 1e-9; step /= 2) {
    for (const t of [best - step, best + step]) {
      if (t >= 0 && t <= 1 && at(t) < at(best)) best = t;
    }
  }
  return at(best);
}

test.each([1, 5, 20, 60, 120, 200])(
  'at %i m/s nothing passes a 5 cm wall or misses a 5 cm sensor',
  (speed) => {
    const wall = inflateHull(box([-0.025, -3, -3], [0.025, 3, 3]), 0.2);
    const thin = ballBody([0, 0, 0], 0.025, 0.2);
    const step = speed / 120;
    fc.assert(
      fc.property(coordinate(2), coordinate(2), coordinate(0.2), metres(0, 1), (y, z, off, lag) => {
        const crosses = (body: InflatedHull, py: number, pz: number) => {
          for (let x = -2 - lag * step; x < 2; x += step) {
            if (sweep(body, ballAt([x, py, pz], 0.25, [step, 0, 0]), newTouch())) return true;
          }
          return false;
        };
        return crosses(wall, y, z) && crosses(thin, off, off);
      }),
      { numRuns: 300, seed: 4 },
    );
  },
);

test('a touch leaves the surfaces exactly together', () => {
  fc.assert(
    fc.property(sweepCase, (sample) => {
      const { solid, half, radius, from } = sample;
      const d = displacement(sample);
      const body = inflateHull(solid, half);
      const touch = newTouch();
      if (!sweep(body, ballAt(from, radius, d), touch)) return true;
      const gap = clearance(body, ballAt(add(from, scale(d, touch.t)), radius), newClearance());
      return Math.abs(gap.distance) < 1e-9;
    }),
    { numRuns: cases(3000), seed: 7, endOnFailure: true },
  );
});
