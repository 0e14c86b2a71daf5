import fc from 'fast-check';
import {
  convexSolid,
  cosDeg,
  crossingOf,
  cubicAt,
  distance,
  dot,
  faceNormal,
  frameAt,
  fromSection,
  isWithin,
  rotate,
  selfCrossing,
  signedArea,
  sinDeg,
  sub,
  sweepAlong,
  transpose,
  turnMatrix,
  turnedRight,
  twistedMeshes,
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
  const section = () => bed;
  const straight = sweepAlong({ frame: (k) => frameAt([7 * k, 0, 0]), section });
  expect(volumeOf(straight[0].solid)).toBeCloseTo(7, 9);
  expect(straight).toHaveLength(1);
  expect(straight[0].swept).toBeUndefined();
  const round = (bank: number) => (k: number) =>
    frameAt([10 * sinDeg(90 * k), 0, 10 * (cosDeg(90 * k) - 1)], 90 * k, 0, bank * k);
  const solids = sweepAlong({ frame: round(0), section });
  const total = solids.reduce((sum, { solid }) => sum + volumeOf(solid), 0);
  expect(total).toBeCloseTo((10 * Math.PI) / 2, 1);
  expect(twistedMeshes(solids)).toBeNull();
  // Twisted, each stretch is a hull of its own and still closed, and so is what is seen of them all.
  const twisted = sweepAlong({ frame: round(30), section });
  for (const { solid } of twisted) expect(volumeOf(solid)).toBeGreaterThan(0.1);
  const seen = twistedMeshes(twisted)!.reduce((sum, mesh) => sum + volumeOf(mesh), 0);
  expect(Math.abs(seen / ((10 * Math.PI) / 2) - 1)).toBeLessThan(0.02);
});

test('a stretch is the curve of its way, to a twentieth of a millimetre, and its picture lies within 5 mm of it', () => {
  const sweep = {
    frame: (k: number) =>
      frameAt([6 * sinDeg(120 * k), 4 * k * k, 6 * (cosDeg(120 * k) - 1)], 120 * k, 0, 40 * k),
    section: (): Section => [
      [-3, 0],
      [3, 0],
      [3, 0.3],
      [-3, 0.3],
    ],
  };
  const stretches = sweepAlong(sweep);
  const faces = twistedMeshes(stretches)!.flatMap((mesh) =>
    mesh.faces
      .filter((face) => face.length === 3)
      .map((face) => ({ at: mesh.points[face[0]], normal: faceNormal(mesh, face) })),
  );
  for (let i = 0; i < 400; i++) {
    const k = (i + 0.5) / 400;
    const stretch = stretches[Math.floor(k * stretches.length)].swept!;
    const u = k * stretches.length - Math.floor(k * stretches.length);
    const frame = sweep.frame(k);
    sweep.section().forEach((corner, c) => {
      const there = fromSection(frame, corner);
      expect(distance(cubicAt(stretch[c], u), there)).toBeLessThan(5e-5);
    });
    // The middle of the top lies off the nearest triangle's plane by no more than what is drawn may.
    const middle = fromSection(frame, [((i * 7) % 6) - 3, 0.3]);
    const near = faces
      .filter(({ at }) => distance(at, middle) < 1.2)
      .map(({ at, normal }) => Math.abs(dot(normal, sub(middle, at))));
    expect(Math.min(...near)).toBeLessThan(5e-3);
  }
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
