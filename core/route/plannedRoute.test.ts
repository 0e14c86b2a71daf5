import { fitTrack, layPieces } from '../edit';
import { ROUTES } from '../edit/routes.testing';
import { emptyCourse } from '../course';
import { courseLength, expectationOf, plannedRoute, trackWay } from '.';

const marks = layPieces(emptyCourse('Marks', 'free'), [
  { family: 'start', at: [0, 0, 0] },
  { family: 'cairn', at: [30, 3, 0] },
  { family: 'lantern', at: [30, 0, 40] },
]);

test('length, climb and time follow the way and the runner', () => {
  const straight = plannedRoute(marks);
  expect(straight.from).toBe('marks');
  // Straight over whatever lies between is no way that takes a time.
  expect(expectationOf(marks, straight).time).toBeNull();
  const meant = { ...straight, whole: true };
  const { length, climb, time } = expectationOf(marks, meant);
  expect(length).toBeCloseTo(Math.hypot(30, 3) + Math.hypot(40, 3), 6);
  expect(climb).toBeCloseTo(3, 9);
  // 70 m over the map at 6 m/s, and half of the quarter second it takes to get there.
  expect(time).toBeCloseTo(70 / 6 + 0.125, 6);
  const quick = { ...marks, runner: { kind: 'hopper' as const, settings: { topSpeed: 12 } } };
  expect(expectationOf(quick, meant).time).toBeCloseTo(70 / 12 + 0.125, 6);
  expect(expectationOf({ ...marks, kind: 'laps', laps: 4 }, meant).time).toBeCloseTo(
    // Four times along it, and three times back from its end.
    (4 * 70 + 3 * 50) / 6 + 0.125,
    6,
  );
});

test('joined track is followed along its bends, round and round where it closes', () => {
  const { points, closed } = ROUTES[1];
  const fit = fitTrack({ points, closed, width: 3, tolerance: 1 });
  const course = layPieces(emptyCourse('Round', 'free'), [
    ...fit.pieces,
    { family: 'start', at: [fit.pieces[0].at[0], 0.3, fit.pieces[0].at[2]] },
  ]);
  const track = trackWay(course)!;
  expect(track.closed).toBe(true);
  expect(courseLength(course)).toBeGreaterThan(fit.length * 0.97);
  expect(courseLength(course)).toBeLessThan(fit.length * 1.01);
  expect(plannedRoute(course).from).toBe('track');
});

test('a sketch serves until there is more than a start and a goal', () => {
  const bare = layPieces(emptyCourse('Bare', 'free'), [{ family: 'start', at: [0, 0, 0] }]);
  const sketched = {
    ...bare,
    sketch: {
      points: [
        [0, 0, 0],
        [10, 0, 0],
      ] as [number, number, number][],
    },
  };
  expect(plannedRoute(sketched).from).toBe('sketch');
  expect(courseLength(sketched)).toBe(10);
  expect(trackWay(bare)).toBeNull();
});
