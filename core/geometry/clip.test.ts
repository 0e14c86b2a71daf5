import fc from 'fast-check';
import { clipConvex, convexHull, isWithin, signedArea, type Vec2 } from '.';

const square = (x: number, y: number, half: number): Vec2[] => [
  [x - half, y - half],
  [x + half, y - half],
  [x + half, y + half],
  [x - half, y + half],
];

test('two squares leave their common part', () => {
  const left = clipConvex(square(0, 0, 2), square(3, 1, 2));
  // Twice the area.
  expect(Math.abs(signedArea(left))).toBeCloseTo(6, 9);
  expect(clipConvex(square(0, 0, 1), square(5, 0, 1))).toHaveLength(0);
  expect(clipConvex(square(0, 0, 1), square(0, 0, 5))).toEqual(square(0, 0, 1));
});

test('what is left lies in both outlines, and is as large whichever clips the other', () => {
  const place = fc.tuple(fc.integer({ min: -90, max: 90 }), fc.integer({ min: -90, max: 90 }));
  const outline = fc
    .array(place, { minLength: 5, maxLength: 12 })
    .map((points) => convexHull(points.map(([x, y]): Vec2 => [x / 10, y / 10])))
    .filter((ring) => ring.length > 2 && Math.abs(signedArea(ring)) > 1)
    .map((ring) => (signedArea(ring) < 0 ? [...ring].reverse() : ring));
  fc.assert(
    fc.property(outline, outline, (a, b) => {
      const [left, other] = [clipConvex(a, b), clipConvex(b, a)];
      const size = (ring: readonly Vec2[]) => (ring.length < 3 ? 0 : Math.abs(signedArea(ring)));
      expect(size(left)).toBeCloseTo(size(other), 6);
      expect(size(left)).toBeLessThanOrEqual(Math.min(size(a), size(b)) + 1e-9);
      if (size(left) < 0.01) return;
      const middle = [0, 1].map(
        (i) => left.reduce((sum, p) => sum + p[i], 0) / left.length,
      ) as unknown as Vec2;
      expect(isWithin(a, middle) && isWithin(b, middle)).toBe(true);
    }),
  );
});
