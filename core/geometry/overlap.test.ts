import fc from 'fast-check';
import { add, extrude, overlapOf, rotate, turnMatrix, type Polyhedron, type Vec3 } from '.';

const box = (size: Vec3, at: Vec3, turn: Vec3 = [0, 0, 0]): Polyhedron => {
  const [w, h, d] = [size[0] / 2, size[1] / 2, size[2]];
  const flat = extrude(
    [
      [-w, -h],
      [w, -h],
      [w, h],
      [-w, h],
    ],
    d,
  );
  // About its middle.
  const middle =
    (Math.min(...flat.points.map((p) => p[2])) + Math.max(...flat.points.map((p) => p[2]))) / 2;
  const solid = { ...flat, points: flat.points.map(([x, y, z]): Vec3 => [x, y, z - middle]) };
  const matrix = turnMatrix(turn);
  return { ...solid, points: solid.points.map((p) => add(rotate(matrix, p), at)) };
};

test('boxes in one another are as deep as their sides reach, out by the shortest way', () => {
  expect(overlapOf(box([4, 2, 4], [0, 0, 0]), box([2, 2, 2], [2.7, 0, 0]))).toMatchObject({
    depth: expect.closeTo(0.3, 9) as number,
    way: [expect.closeTo(0.3, 9), expect.closeTo(0, 9), expect.closeTo(0, 9)] as unknown as Vec3,
  });
  expect(overlapOf(box([4, 2, 4], [0, 0, 0]), box([2, 2, 2], [3, 0, 0]))).toBeNull();
  // Only edges part these: no face of either does.
  expect(
    overlapOf(box([2, 2, 2], [0, 0, 0], [0, 45, 0]), box([2, 2, 2], [2.75, 1.9, 0], [0, 0, 45])),
  ).toBeNull();
});

test('what is moved by its way, and a hair more, is out; by less, it is not', () => {
  const metres = (min: number, max: number) => fc.integer({ min, max }).map((n) => n / 10);
  const size = fc.tuple(metres(5, 60), metres(5, 60), metres(5, 60));
  const angle = fc.integer({ min: 0, max: 359 });
  fc.assert(
    fc.property(
      size,
      size,
      fc.tuple(angle, angle, angle),
      fc.tuple(metres(-30, 30), metres(-30, 30), metres(-30, 30)),
      (a, b, turn, at) => {
        const one = box(a, [0, 0, 0]);
        const other = box(b, at, turn);
        const found = overlapOf(one, other);
        if (!found) return;
        const moved = (k: number): Polyhedron => ({
          ...other,
          points: other.points.map((p) => [0, 1, 2].map((i) => p[i] + found.way[i] * k) as never),
        });
        expect(overlapOf(one, moved(1 + 1e-6))).toBeNull();
        expect(overlapOf(one, moved(0.5))!.depth).toBeLessThanOrEqual(found.depth / 2 + 1e-9);
      },
    ),
    { numRuns: 300 },
  );
});
