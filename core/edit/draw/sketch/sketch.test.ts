import fc from 'fast-check';
import { cases } from '../../../deep.testing';
import { emptyCourse, type Course } from '../../../course';
import { distance, type Vec3 } from '../../../geometry';
import {
  addSketchPoint,
  bridged,
  clearSketch,
  closeSketch,
  drawSketch,
  movePicture,
  moveSketchPoint,
  ownCrossings,
  raiseSketchPoint,
  removeSketchLine,
  removeSketchPoint,
  resample,
  scalePicture,
  setNote,
  setPictureShown,
  setSketchPicture,
  setSketchShown,
  smoothSketch,
  wayLengthOf,
} from '.';

const empty = emptyCourse('Trial', 'free');
const circle = (r: number, n = 60): Vec3[] =>
  Array.from({ length: n + 1 }, (_, i): Vec3 => {
    const a = (i * 2 * Math.PI) / n;
    return [r * Math.cos(a), 0, r * Math.sin(a)];
  });
const points = (course: Course) => course.sketch!.points as Vec3[];

test('places along a way are as far apart as asked, and both its ends are kept', () => {
  const place = fc.integer({ min: -500, max: 500 }).map((n) => n / 10);
  fc.assert(
    fc.property(
      fc.array(fc.tuple(place, place, place), { minLength: 2, maxLength: 12 }),
      fc.constantFrom(0.25, 0.5, 1.5),
      (way, pitch) => {
        const even = resample(way, pitch);
        expect(even[0]).toEqual(way[0]);
        expect(distance(even[even.length - 1], way[way.length - 1])).toBeLessThan(1e-6);
        // Over a corner the straight way is shorter than along it, never longer.
        for (let i = 1; i < even.length; i++) {
          expect(distance(even[i - 1], even[i])).toBeLessThanOrEqual(pitch + 1e-9);
        }
        expect(wayLengthOf(even)).toBeLessThanOrEqual(wayLengthOf(way) + 1e-9);
      },
    ),
    { numRuns: cases(80), seed: 21 },
  );
});

test('a stroke that comes back is a round; one that goes on from an end is one with it', () => {
  const round = drawSketch(empty, circle(8));
  expect(round.sketch!.closed).toBe(true);
  expect(wayLengthOf(points(round), true)).toBeGreaterThan(2 * Math.PI * 8 * 0.94);
  const line = drawSketch(empty, [
    [0, 0, 0],
    [5, 0, 0],
    [10, 0, 0],
  ]);
  expect(line.sketch!.closed).toBeUndefined();
  const longer = drawSketch(line, [
    [10.5, 0, 0],
    [14, 0, 4],
    [18, 0, 8],
  ]);
  expect(points(longer)[0]).toEqual([0, 0, 0]);
  expect(wayLengthOf(points(longer))).toBeGreaterThan(18);
  const other = drawSketch(line, [
    [50, 0, 0],
    [60, 0, 0],
    [70, 0, 3],
  ]);
  expect(points(other)[0][0]).toBe(50);
  expect(drawSketch(empty, [[0, 0, 0]])).toBe(empty);
});

test('smoothing takes the tremor out and keeps the shape', () => {
  const shaky = circle(10).map(([x, y, z], i): Vec3 => [x + (i % 2 ? 0.3 : -0.3), y, z]);
  const before = drawSketch(empty, shaky);
  const after = smoothSketch(before);
  const off = (course: Course) =>
    points(course).reduce((sum, [x, , z]) => sum + Math.abs(Math.hypot(x, z) - 10), 0) /
    points(course).length;
  expect(off(after)).toBeLessThan(off(before) + 0.3);
  expect(wayLengthOf(points(after), true)).toBeLessThan(wayLengthOf(points(before), true));
  expect(smoothSketch(empty)).toBe(empty);
});

test('points are moved, raised and taken away; the sketch is closed, faded, cleared', () => {
  const line = drawSketch(empty, [
    [0, 0, 0],
    [4, 0, 3],
    [8, 0, 0],
    [12, 0, 3],
  ]);
  const n = points(line).length;
  const raised = raiseSketchPoint(
    moveSketchPoint(line, { line: 0, index: 1 }, [4, 0, 5]),
    { line: 0, index: 1 },
    1.5,
  );
  expect(points(raised)[1]).toEqual([4, 1.5, 5]);
  expect(points(removeSketchPoint(raised, { line: 0, index: 1 }))).toHaveLength(n - 1);
  expect(closeSketch(line, true).sketch!.closed).toBe(true);
  expect(setSketchShown(line, 0.2).sketch!.shown).toBe(0.2);
  const noted = setNote(line, 0, [1, 2, 3], 'climbs here');
  expect(noted.sketch!.notes).toEqual([{ at: [1, 2, 3], text: 'climbs here' }]);
  expect(clearSketch(noted).sketch).toMatchObject({ points: [], notes: noted.sketch!.notes });
  expect(setNote(noted, 0, [1, 2, 3], null).sketch!.notes).toEqual([]);
  expect(moveSketchPoint(line, { line: 0, index: 99 }, [0, 0, 0])).toBe(line);
});

test('a picture is sized by a known length about the first place touched', () => {
  const picture = {
    data: 'data:image/png;base64,AA==',
    at: [2, 0, 0] as [number, number, number],
    width: 10,
    aspect: 0.5,
  };
  const course = setSketchPicture(empty, picture);
  const scaled = scalePicture(course, [0, 0, 0], [5, 0, 0], 20).sketch!.picture!;
  expect(scaled.width).toBe(40);
  expect(scaled.at).toEqual([8, 0, 0]);
  expect(() => scalePicture(course, [0, 0, 0], [5, 0, 0], -1)).toThrow(/above 0/);
  expect(() => scalePicture(course, [0, 0, 0], [0, 0, 0], 3)).toThrow(/lie apart/);
  expect(() => scalePicture(course, [0, 0, 0], [0.1, 0, 0], 1e6)).toThrow(/wide at most/);
  expect(setSketchPicture(course, null).sketch!.picture).toBeUndefined();
});

test('a bridge stands over its crossing and nowhere else', () => {
  const cross = resample(
    [
      [-30, 0, 0],
      [30, 0, 0],
      [30, 0, 30],
      [0, 0, 30],
      [0, 0, -30],
    ],
    0.4,
  );
  expect(ownCrossings(cross)).toHaveLength(1);
  const over = bridged(cross, 0.4);
  expect(ownCrossings(over)).toHaveLength(0);
  const high = over.filter(([, y]) => y > 0);
  for (const [x, , z] of high) {
    expect(Math.abs(x)).toBeLessThan(1);
    expect(Math.abs(z)).toBeLessThan(14);
  }
});

test('a stroke that leaves the line is a branch, one from its end goes on, one elsewhere is the route anew', () => {
  const straight = (from: Vec3, to: Vec3): Vec3[] =>
    Array.from({ length: 21 }, (_, i) =>
      [0, 1, 2].map((k) => from[k] + ((to[k] - from[k]) * i) / 20),
    ) as never;
  const route = drawSketch(empty, straight([0, 0, 0], [40, 0, 0]));
  const forked = drawSketch(route, straight([20, 0, 1], [20, 0, 30]));
  expect(points(forked)).toEqual(points(route));
  // It begins on the line itself.
  expect(forked.sketch!.branches![0].points[0]).toEqual([20, 0, 0]);
  const longer = drawSketch(forked, straight([20, 0, 31], [40, 0, 31]));
  expect(longer.sketch!.branches).toHaveLength(1);
  expect(wayLengthOf(longer.sketch!.branches![0].points as Vec3[])).toBeGreaterThan(45);
  // Back to the route: it ends on it.
  const back = drawSketch(forked, straight([20, 0, 15], [32, 0, 2]));
  expect(back.sketch!.branches![1].points.at(-1)).toEqual([32, 0, 0]);
  expect(
    moveSketchPoint(back, { line: 2, index: 1 }, [30, 0, 5]).sketch!.branches![1].points[1],
  ).toEqual([30, 0, 5]);
  expect(removeSketchLine(back, 1).sketch!.branches).toHaveLength(1);
  expect(
    removeSketchPoint(removeSketchPoint(forked, { line: 1, index: 0 }), { line: 1, index: 0 })
      .sketch!.branches,
  ).toBeUndefined();
  const anew = drawSketch(back, straight([0, 0, 80], [40, 0, 80]));
  expect(anew.sketch!.branches).toBeUndefined();
  expect(points(anew)[0]).toEqual([0, 0, 80]);
});

test('a route is drawn point by point without a finger, from nothing and on along a branch', () => {
  const begun = addSketchPoint(addSketchPoint(empty, 0, [1, 0, 2]), 0, [6, 0, 2]);
  expect(points(begun)).toEqual([
    [1, 0, 2],
    [6, 0, 2],
  ]);
  const branched = drawSketch(begun, [
    [3, 0, 2],
    [3, 0, 9],
    [3, 0, 16],
  ]);
  const longer = addSketchPoint(branched, 1, [3, 0, 30]);
  expect(longer.sketch!.branches![0].points.at(-1)).toEqual([3, 0, 30]);
  expect(points(longer)).toEqual(points(begun));
});

test('fingers move, turn and size the picture; the place between them stays under them', () => {
  const laid = setSketchPicture(empty, {
    data: 'data:image/png;base64,AA==',
    at: [10, 0, 0],
    width: 40,
    aspect: 0.5,
  });
  fc.assert(
    fc.property(
      fc.tuple(
        fc.integer({ min: -90, max: 90 }),
        fc.integer({ min: 20, max: 400 }),
        fc.integer({ min: -30, max: 30 }),
      ),
      ([turn, percent, by]) => {
        const about: Vec3 = [4, 0, 7];
        const { picture } = movePicture(laid, {
          about,
          by: [by, 0, 0],
          factor: percent / 100,
          turn,
        }).sketch!;
        const before = distance([10, 0, 0], about);
        expect(distance(picture!.at as Vec3, [4 + by, 0, 7])).toBeCloseTo(
          (before * percent) / 100,
          5,
        );
        expect(picture!.width).toBeCloseTo((40 * percent) / 100, 6);
        expect(picture!.turn ?? 0).toBeCloseTo((turn + 360) % 360, 6);
      },
    ),
  );
  expect(
    movePicture(laid, { about: [0, 0, 0], by: [0, 0, 0], factor: 1e6, turn: 0 }).sketch!.picture!
      .width,
  ).toBe(4000);
  expect(setPictureShown(laid, 0.3).sketch!.picture!.shown).toBe(0.3);
});
