import { ballAt } from './ball.testing';
import fc from 'fast-check';
import {
  add,
  box,
  mapPoints,
  type Polyhedron,
  prism,
  rotate,
  scale,
  turnMatrix,
  type Vec3,
} from '../geometry';
import {
  ballBody,
  clearance,
  inflateHull,
  newClearance,
  newTouch,
  sharedFaces,
  sweep,
  type InflatedHull,
} from '.';
import { cases } from '../deep.testing';

/** A cube from -1 to 1. */
const cube = inflateHull(box([-1, -1, -1], [1, 1, 1]), 0);
const R = 0.5;

function cast(body: InflatedHull, from: Vec3, d: Vec3, r = R) {
  const touch = newTouch();
  return sweep(body, ballAt(from, r, d), touch) ? touch : null;
}

test('a face, an edge and a corner are touched where geometry says', () => {
  expect(cast(cube, [3, 0, 0], [-4, 0, 0])).toMatchObject({ t: 1.5 / 4, nx: 1, ny: 0, nz: 0 });
  // Towards the edge along z at (1, 1): the middle stops R away from it.
  const edge = cast(cube, [3, 3, 0], [-4, -4, 0])!;
  expect(3 - 4 * edge.t).toBeCloseTo(1 + R / Math.SQRT2, 12);
  expect([edge.nx, edge.ny, edge.nz]).toEqual([
    expect.closeTo(Math.SQRT1_2),
    expect.closeTo(Math.SQRT1_2),
    0,
  ]);
  // That edge is the rim of a floor: the top face looks straight up.
  expect(edge.top).toBe(1);
  const corner = cast(cube, [3, 3, 3], [-4, -4, -4])!;
  expect(3 - 4 * corner.t).toBeCloseTo(1 + R / Math.sqrt(3), 12);
});

test('ways that miss, end short or lead away touch nothing', () => {
  expect(cast(cube, [3, 1.6, 0], [-6, 0, 0])).toBeNull();
  expect(cast(cube, [3, 0, 0], [-1.4, 0, 0])).toBeNull();
  expect(cast(cube, [3, 0, 0], [4, 0, 0])).toBeNull();
  // Past a corner: inside both faces' planes, but outside the rounding.
  expect(cast(cube, [1.45, 1.45, -3], [0, 0, 6])).toBeNull();
  expect(cast(cube, [1.3, 1.3, -3], [0, 0, 6])).not.toBeNull();
});

test('a start within counts only when it goes further in', () => {
  expect(cast(cube, [1.2, 0, 0], [-1, 0, 0])).toMatchObject({ t: 0, nx: 1 });
  expect(cast(cube, [1.2, 0, 0], [1, 0, 0])).toBeNull();
  expect(cast(cube, [1.2, 1.2, 0], [-1, -1, 0])!.t).toBe(0);
  expect(cast(cube, [1.2, 1.2, 0], [1, 1, 0])).toBeNull();
});

test('an upright segment makes a body taller and a ball a capsule', () => {
  const tall = inflateHull(box([-1, -1, -1], [1, 1, 1]), 0.3);
  expect(cast(tall, [0, 5, 0], [0, -5, 0])!.t).toBeCloseTo((5 - 1 - 0.3 - R) / 5, 12);
  expect(cast(tall, [3, 1.2, 0], [-4, 0, 0])).toMatchObject({ t: 1.5 / 4, nx: 1 });
  const ball = ballBody([0, 0, 0], 1, 0.3);
  expect(cast(ball, [0, 5, 0], [0, -5, 0])!.t).toBeCloseTo((5 - 1.3 - R) / 5, 12);
  expect(cast(ball, [3, 0.2, 0], [-4, 0, 0])!.t).toBeCloseTo(1.5 / 4, 12);
});

test('clearance is the distance outside and negative within', () => {
  const gap = (p: Vec3) => clearance(cube, ballAt(p, R), newClearance());
  expect(gap([3, 0, 0])).toMatchObject({ distance: 1.5, nx: 1 });
  expect(gap([2, 2, 0]).distance).toBeCloseTo(Math.SQRT2 - R, 12);
  expect(gap([0.9, 0, 0])).toMatchObject({ nx: 1, distance: expect.closeTo(-0.1 - R) });
  expect(clearance(ballBody([0, 0, 0], 1, 0), ballAt([0, 3, 0], R), newClearance())).toMatchObject({
    distance: 1.5,
    ny: 1,
  });
});

test('what is swept never ends up nearer than touching, and pulling back always clears', () => {
  const c = fc.integer({ min: -4000, max: 4000 }).map((n) => n / 1000);
  fc.assert(
    fc.property(fc.tuple(c, c, c), fc.tuple(c, c, c), (from, d) => {
      const start = clearance(cube, ballAt(from, R), newClearance()).distance;
      fc.pre(start > 0.001 && Math.hypot(...d) > 0.01);
      const touch = cast(cube, from, d);
      const at = (t: number) =>
        clearance(cube, ballAt(add(from, scale(d, t)), R), newClearance()).distance;
      if (touch) return Math.abs(at(touch.t)) < 1e-9;
      return [0.25, 0.5, 0.75, 1].every((t) => at(t) > -1e-9);
    }),
    { numRuns: cases(2000), seed: 8 },
  );
});

test('the sum of a turned solid is the same whether or not it shares its faces with others turned before', () => {
  const angle = fc.constantFrom(0, 15, 30, 90, 137.5, 180, 270);
  const turn = fc.tuple(angle, angle, angle).map(([x, y, z]) => turnMatrix([x, y, z]));
  const wedge = prism(
    [
      [-1, -1],
      [2, -0.5],
      [1, 1],
      [-1, 1.5],
    ],
    0,
    1.2,
    0.2,
  );
  const alike = { ...wedge, faces: sharedFaces(wedge) };
  fc.assert(
    fc.property(
      fc.array(turn, { minLength: 1, maxLength: 20 }),
      fc.constantFrom(0, 0.2),
      (turns, half) => {
        for (const turn of turns) {
          const turned = (solid: Polyhedron) => mapPoints(solid, (p) => rotate(turn, p));
          expect(inflateHull(turned(alike), half)).toEqual(inflateHull(turned(wedge), half));
        }
      },
    ),
  );
});
