import fc from 'fast-check';
import {
  convexSolid,
  crossingOf,
  dot,
  faceNormal,
  frameAt,
  fromSection,
  isWithin,
  rotate,
  selfCrossing,
  signedArea,
  sub,
  sweepAlong,
  transpose,
  turnMatrix,
  turnedRight,
  type Frame,
  type Polyhedron,
  volumeOf,
  type Section,
  type Vec2,
  type Vec3,
} from '.';

const number = fc.integer({ min: -400, max: 400 }).map((n) => n / 20);
const angle = fc.integer({ min: -180, max: 180 });

const outside = (solid: Polyhedron, p: Vec3): number =>
  Math.max(
    ...solid.faces.map((face) => dot(faceNormal(solid, face), sub(p, solid.points[face[0]]))),
  );

test('the hull of points holds them all and is made of some of them', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(number, number, number), { minLength: 12, maxLength: 30 }),
      (points) => {
        const corners: Vec3[] = [[0, 0, 0], [9, 0, 0], [0, 9, 0], [0, 0, 9], ...points];
        const hull = convexSolid(corners);
        for (const p of corners) expect(outside(hull, p)).toBeLessThan(1e-4);
        expect(volumeOf(hull)).toBeGreaterThan(100);
      },
    ),
    { numRuns: 60, seed: 41 },
  );
});

test('a cross-section swept straight has the volume of its area and length; bent, nearly so', () => {
  const bed: Section = [
    [-1, 0],
    [1, 0],
    [1, 0.5],
    [-1, 0.5],
  ];
  const straight = sweepAlong([frameAt([0, 0, 0]), frameAt([7, 0, 0])], () => bed);
  expect(volumeOf(straight[0])).toBeCloseTo(7, 9);
  const bend: Frame[] = Array.from({ length: 25 }, (_, i) => {
    const a = (i * 90) / 24;
    return frameAt(
      [10 * Math.sin((a * Math.PI) / 180), 0, 10 * (Math.cos((a * Math.PI) / 180) - 1)],
      a,
    );
  });
  const solids = sweepAlong(bend, () => bed);
  const total = solids.reduce((sum, solid) => sum + volumeOf(solid), 0);
  expect(total).toBeCloseTo((10 * Math.PI) / 2, 1);
  // Twisted, each stretch is a hull of its own and still closed.
  const twisted = sweepAlong([frameAt([0, 0, 0]), frameAt([3, 0.4, 0], 5, 8, 20)], () => bed);
  expect(volumeOf(twisted[0])).toBeGreaterThan(2.5);
});

test('a frame puts its section square to the way ahead', () => {
  fc.assert(
    fc.property(angle, angle, angle, (heading, pitch, bank) => {
      const frame = frameAt([1, 2, 3], heading, pitch, bank);
      const ahead: Vec3 = [frame.turn[0], frame.turn[3], frame.turn[6]];
      const across = sub(fromSection(frame, [1, 0]), frame.at);
      const up = sub(fromSection(frame, [0, 1]), frame.at);
      expect(
        Math.abs(dot(ahead, across)) + Math.abs(dot(ahead, up)) + Math.abs(dot(across, up)),
      ).toBeLessThan(1e-12);
      expect(ahead[1]).toBeCloseTo(Math.sin((pitch * Math.PI) / 180), 12);
      const m = turnMatrix([heading, pitch, bank]);
      const there = rotate(transpose(m), rotate(m, [3, -2, 5]));
      there.forEach((v, i) => expect(v).toBeCloseTo([3, -2, 5][i], 12));
    }),
    { numRuns: 60, seed: 42 },
  );
});

test('stretches cross where they do, rings cross themselves only where they do', () => {
  expect(crossingOf([0, 0], [4, 4], [0, 4], [4, 0])).toEqual([2, 2]);
  expect(crossingOf([0, 0], [1, 0], [0, 1], [1, 1])).toBeNull();
  const square: Vec2[] = [
    [0, 0],
    [4, 0],
    [4, 4],
    [0, 4],
  ];
  const bow: Vec2[] = [
    [0, 0],
    [4, 4],
    [4, 0],
    [0, 4],
  ];
  expect(selfCrossing([square])).toBeNull();
  expect(selfCrossing([bow])).toEqual([2, 2]);
  expect(
    selfCrossing([
      square,
      [
        [3, 3],
        [6, 3],
        [6, 6],
      ],
    ]),
  ).not.toBeNull();
  expect(isWithin(square, [1, 3])).toBe(true);
  expect(isWithin(square, [5, 3])).toBe(false);
  expect(signedArea(turnedRight([...square].reverse()))).toBe(32);
});
