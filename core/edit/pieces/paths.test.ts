import fc from 'fast-check';
import {
  emptyCourse,
  toCourse,
  type Course,
  type PathMotion,
  type PosesMotion,
} from '../../course';
import { distance, lerp, type Vec3 } from '../../geometry';
import {
  applyPose,
  sampleKeyframes,
  compileKeyframes,
  compilePath,
  pointOnPath,
} from '../../motion';
import { fromShareCode, toShareCode } from '../../formats';
import {
  addMotion,
  addPathPoint,
  changeMotion,
  insertPathPoint,
  layPieces,
  movePathPoint,
  movePose,
  pathPlaces,
  posePlaces,
  removePathPoint,
  turnPose,
} from '..';

const course: Course = layPieces(emptyCourse('Trial', 'free'), [
  { family: 'start', at: [0, 0, 0] },
  { family: 'crate', at: [3, 1, 3], turn: [0, 90, 0] },
]);
const one = new Set(['p2']);
const piece = (c: Course, id = 'p2') => c.pieces.find((p) => p.id === id)!;

test('a path is drawn in the world and kept in the piece’s own frame', () => {
  const drawn = addPathPoint(addPathPoint(course, 'p2', [3, 1, -1]), 'p2', [5, 1, -1]);
  const [motion] = piece(drawn).motion!;
  expect(motion).toMatchObject({
    kind: 'path',
    points: [
      [4, 0, 0],
      [4, 0, 2],
    ],
  });
  const places = pathPlaces(piece(drawn)).map((p) => p.map((v) => Math.round(v * 1e6) / 1e6 + 0));
  expect(places).toEqual([
    [3, 1, 3],
    [3, 1, -1],
    [5, 1, -1],
  ]);
  const moved = movePathPoint(drawn, 'p2', 2, [3, 4, -1]);
  expect(pathPlaces(piece(moved))[2][1]).toBeCloseTo(4, 9);
  const waited = changeMotion(moved, one, 0, { waits: [0, 1, 2] });
  const shorter = removePathPoint(waited, 'p2', 1);
  expect(piece(shorter).motion![0]).toMatchObject({ waits: [0, 2] });
  expect(piece(removePathPoint(shorter, 'p2', 1)).motion).toBeUndefined();
});

test('what is said of a path’s points goes with them when one is taken away', () => {
  const drawn = [1, 2, 3].reduce((now, i) => addPathPoint(now, 'p1', [9, i, 0]), course);
  const told = changeMotion(drawn, new Set(['p1']), 0, {
    smooth: true,
    corners: [1, 3],
    times: [1, 2, 3],
    waits: [0, 4, 0, 5],
  });
  const less = removePathPoint(told, 'p1', 1);
  expect(less.pieces.find(({ id }) => id === 'p1')!.motion![0]).toMatchObject({
    corners: [2],
    times: [2, 3],
    waits: [0, 0, 5],
  });
  expect(toCourse(JSON.parse(JSON.stringify(less)))).toEqual(less);
  expect(fromShareCode(toShareCode(less))).toEqual(less);
});

test('a point put in halfway changes nothing of when the piece is where', () => {
  const metre = fc.integer({ min: -80, max: 80 }).map((n) => n / 10);
  fc.assert(
    fc.property(
      fc.array(fc.tuple(metre, metre, metre), { minLength: 2, maxLength: 5 }),
      fc.nat({ max: 4 }),
      fc.boolean(),
      (points, pick, timed) => {
        const drawn = points.reduce((now, p) => addPathPoint(now, 'p2', p), course);
        const told = changeMotion(drawn, one, 0, {
          waits: [0.5, ...points.map((_, i) => i % 3)],
          ...(timed ? { times: points.map((_, i) => 1 + i) } : {}),
          corners: [points.length],
        });
        const before = 1 + (pick % points.length);
        const places = pathPlaces(piece(told));
        fc.pre(distance(places[before - 1], places[before]) > 0.1);
        const middle = lerp(places[before - 1], places[before], 0.5);
        const more = insertPathPoint(told, 'p2', before, middle);
        expect(pathPlaces(piece(more))).toHaveLength(places.length + 1);
        expect(distance(pathPlaces(piece(more))[before], middle)).toBeLessThan(1e-6);
        const [a, b] = [told, more].map((c) => compilePath(piece(c).motion![0] as PathMotion));
        expect(b.period).toBeCloseTo(a.period, 5);
        for (let t = 0; t < a.period; t += 0.37) {
          expect(distance(pointOnPath(a, t), pointOnPath(b, t))).toBeLessThan(1e-4);
        }
        // What was said of the last point is said of it still.
        expect((piece(more).motion![0] as PathMotion).corners).toEqual([points.length + 1]);
      },
    ),
  );
});

test('a pose is taken from a place in the world, whichever way the piece is turned', () => {
  const posed = movePose(addMotion(course, one, 'poses'), 'p2', 0, [7, 4, -2]);
  const [place] = posePlaces(piece(posed));
  expect(distance(place, [7, 4, -2])).toBeLessThan(1e-6);
  expect(movePose(posed, 'p2', 9, [0, 0, 0]).pieces).toEqual(posed.pieces);
  expect(posePlaces(piece(course))).toEqual([]);
});

test('a pose turns about the upright on top of the turn it had, and back to none', () => {
  const posed = addMotion(course, one, 'poses');
  const tilted = changeMotion(posed, one, 0, {
    poses: [{ at: [0, 0, 0], turn: [20, 0, 0], time: 1 }],
  });
  const turned = turnPose(tilted, 'p2', 0, 90);
  const ahead = (c: Course): Vec3 => {
    const poses = compileKeyframes(piece(c).motion![0] as PosesMotion);
    return applyPose(sampleKeyframes({ ...poses, phase: 0 }, 1), [1, 0, 0]);
  };
  const [x, y, z] = ahead(tilted);
  // A quarter to the left takes what was ahead to where left was.
  expect(ahead(turned)).toEqual([
    expect.closeTo(z, 6),
    expect.closeTo(y, 6),
    expect.closeTo(-x, 6),
  ]);
  const back = turnPose(turnPose(posed, 'p2', 0, 30), 'p2', 0, -30);
  expect((piece(back).motion![0] as PosesMotion).poses[0].turn).toBeUndefined();
});
