import fc from 'fast-check';
import { box, facetedBall, prism, regularOutline, type Vec3 } from '../geometry';
import { linedSolid, meetsLine } from './solidLine';

/** Off the grid by another bit on each axis, so that no line runs along an edge. */
const fine = (off: number) => fc.integer({ min: -30, max: 30 }).map((v) => v / 10 + off);
const place = fc.tuple(fine(0.0137), fine(0.0291), fine(0.0419));
const solids = {
  box: box([-1, -0.5, -0.7], [0.8, 1.1, 0.4]),
  column: prism(regularOutline(7, 1), -0.8, 1.2),
  ball: facetedBall([0.1, 0.2, -0.1], 1.1),
};

test.each(Object.entries(solids))(
  'by its planes and by its triangles a %s hides alike',
  (_, solid) => {
    const [convex, mesh] = [linedSolid(solid, false), linedSolid(solid, true)];
    fc.assert(
      fc.property(place, place, (a, b) => {
        // A line wholly within meets no triangle, though it meets the solid.
        const outside = [a, b].some((p) => !meetsLine(convex, p, p));
        if (outside) expect(meetsLine(convex, a, b)).toBe(meetsLine(mesh, a, b));
        else expect(meetsLine(convex, a, b)).toBe(true);
      }),
      { numRuns: 400 },
    );
  },
);

test('where any place along the line lies within, it is met', () => {
  const convex = linedSolid(solids.ball, false);
  fc.assert(
    fc.property(place, place, (a, b) => {
      const along = Array.from({ length: 41 }, (_, i): Vec3 => {
        const k = i / 40;
        return [0, 1, 2].map((axis) => a[axis] + (b[axis] - a[axis]) * k) as unknown as Vec3;
      });
      if (along.some((p) => meetsLine(convex, p, p))) expect(meetsLine(convex, a, b)).toBe(true);
    }),
  );
});

test('a line that ends in front of a solid, or begins behind it, does not meet it', () => {
  const solid = linedSolid(box([0, 0, 0], [1, 1, 1]), false);
  expect(meetsLine(solid, [-2, 0.5, 0.5], [-0.01, 0.5, 0.5])).toBe(false);
  expect(meetsLine(solid, [1.01, 0.5, 0.5], [3, 0.5, 0.5])).toBe(false);
  expect(meetsLine(solid, [-2, 0.5, 0.5], [3, 0.5, 0.5])).toBe(true);
});
