import fc from 'fast-check';
import { beaconStair } from '@/demo/courses/beaconStair';
import { netLoftLinks } from '@/demo/courses/netLoftLinks';
import { DEMO_RUNS } from '@/demo/runs';
import { layPieces, type PieceInHand } from '../edit';
import { emptyCourse, type Course } from '../course';
import { distance, type Vec3 } from '../geometry';
import { replay } from '../run';
import { courseLength, expectationOf, plannedRoute, roadsOf, thinPath, wayLength } from '.';
import { Ground } from './ground';

/** A course from one place to another over pieces. */
const between = (from: Vec3, to: Vec3, ...pieces: PieceInHand[]): Course =>
  layPieces(emptyCourse('Road', 'free'), [
    { family: 'start', at: [...from] },
    { family: 'lantern', at: [...to] },
    ...pieces,
  ]);
const floor = (x: number, y: number, z: number, w: number, d: number): PieceInHand => ({
  family: 'block',
  at: [x, y - 1, z],
  size: [w, 1, d],
});
const lengthOf = (course: Course) => wayLength(roadsOf(course).legs[0]);

test('over one floor it is straight', () => {
  const ends = fc.tuple(fc.integer({ min: -9, max: 9 }), fc.integer({ min: -9, max: 9 }));
  fc.assert(
    fc.property(ends, ends, ([ax, az], [bx, bz]) => {
      const [a, b]: Vec3[] = [
        [ax, 0, az],
        [bx, 0, bz],
      ];
      const length = lengthOf(between(a, b, floor(0, 0, 0, 24, 24)));
      expect(length).toBeGreaterThanOrEqual(distance(a, b) - 1e-9);
      // The grid bends it by very little, and less the longer it is.
      expect(length).toBeLessThanOrEqual(1.05 * distance(a, b) + 0.3);
    }),
    { numRuns: 60 },
  );
});

test('round a wall that cannot be hopped over, over one that can', () => {
  const wall = (height: number) =>
    between([-6, 0, 0], [6, 0, 0], floor(0, 0, 0, 30, 30), {
      family: 'block',
      at: [0, 0, 0],
      size: [1, height, 20],
    });
  expect(lengthOf(wall(1))).toBeLessThan(16);
  const round = 2 * Math.hypot(6, 10);
  expect(lengthOf(wall(4))).toBeGreaterThan(round - 0.5);
  expect(lengthOf(wall(4))).toBeLessThan(1.08 * round + 1);
});

test('over a gap as far as the runner jumps; beyond that there is no way, and it is straight', () => {
  const gap = (width: number, rise = 0, runner: Course['runner'] = { kind: 'hopper' }) => {
    const far = 8 + width;
    const course = between(
      [0, 0, 0],
      [far, rise, 0],
      floor(0, 0, 0, 8, 8),
      floor(far, rise, 0, 8, 8),
    );
    const way = roadsOf({ ...course, runner }).legs[0];
    return way.length > 2;
  };
  // Of the hopper: 5.45 m on the level, 4.5 m to a metre up; a little is kept back.
  expect([2, 3.5, 4.5].map((width) => gap(width))).toEqual([true, true, true]);
  expect([6, 8].map((width) => gap(width))).toEqual([false, false]);
  expect(gap(3.5, 1)).toBe(true);
  expect(gap(1, 2)).toBe(false);
  expect(gap(4, -3)).toBe(true);
  // A cart drives, and falls, but does not jump.
  expect(gap(3, 0, { kind: 'cart' })).toBe(false);
});

test('over 52 m of water no time is told', () => {
  const course = between([0, 0, 0], [60, 0, 0], floor(0, 0, 0, 8, 8), floor(60, 0, 0, 8, 8));
  const meant = plannedRoute(course, roadsOf(course));
  expect(meant).toMatchObject({ from: 'road', whole: false });
  expect(expectationOf(course, meant)).toMatchObject({ length: 60, time: null });
});

test('up a winding stair, not through the tower; about as far as it was run', () => {
  const { course } = beaconStair;
  const run = wayLength(thinPath(replay(course, DEMO_RUNS['beacon-stair'][0].run).path));
  const meant = plannedRoute(course, roadsOf(course));
  const { length, climb, time } = expectationOf(course, meant);
  expect(meant.from).toBe('road');
  expect(length).toBeGreaterThan(0.65 * run);
  expect(length).toBeLessThan(run);
  expect(length).toBeGreaterThan(3 * wayLength(plannedRoute(course).way));
  expect(climb).toBeGreaterThan(15);
  expect(time!).toBeGreaterThan(length / 8);
  expect(courseLength(course)).toBe(length);
});

test('what moves to and fro takes one along', () => {
  const lift = (moves: boolean) =>
    between([0, 0, 0], [10, 5, 0], floor(0, 0, 0, 6, 6), floor(10, 5, 0, 6, 6), {
      ...floor(5, 0, 0, 3, 3),
      ...(moves
        ? {
            motion: [
              {
                kind: 'path' as const,
                points: [
                  [0, 5, 0],
                  [0, 2.5, 0],
                  [0, 1.2, 0],
                  [0, 3.7, 0],
                ] as Vec3[],
                speed: 1,
                after: 'back' as const,
              },
            ],
          }
        : {}),
    } as PieceInHand);
  expect(roadsOf(lift(true)).legs[0].length).toBeGreaterThan(2);
  expect(roadsOf(lift(false)).legs[0]).toHaveLength(2);
});

test('each leg has a way of its own, and what is between two legs is not run', () => {
  const { course } = netLoftLinks;
  const { legs: roads, whole } = roadsOf(course);
  expect(whole).toBe(true);
  expect(roads).toHaveLength(course.legs!.length);
  const sum = roads.reduce((total, road) => total + wayLength(road), 0);
  expect(courseLength(course)).toBeCloseTo(sum, 9);
  expect(courseLength(course)).toBeLessThan(wayLength(roads.flat()));
});

test('without marks, or with one alone, there is no way', () => {
  expect(roadsOf(emptyCourse('Bare')).legs).toEqual([[]]);
  const lone = layPieces(emptyCourse('Lone'), [{ family: 'start', at: [0, 0, 0] }]);
  expect(roadsOf(lone).legs).toEqual([[[0, 0, 0]]]);
  expect(courseLength(lone)).toBe(0);
});

test('a course without any ground, and one too large to be looked through, still have a length', () => {
  expect(lengthOf(between([0, 0, 0], [30, 0, 40]))).toBe(50);
  const far = between([-900, 0, 0], [900, 0, 0], floor(0, 0, 0, 200, 200));
  expect(lengthOf(far)).toBe(1800);
});

describe('ground', () => {
  const ground = (...pieces: PieceInHand[]) =>
    new Ground(layPieces(emptyCourse('Ground', 'free'), pieces));

  test('one stands on tops with room above, not within what stands there', () => {
    const here = ground(floor(0, 0, 0, 8, 8), {
      family: 'block',
      at: [0, 0, 0],
      size: [2, 3, 2],
    });
    expect(here.at(6, 0)).toEqual([0]);
    expect(here.at(0, 0)).toEqual([3]);
    expect(here.at(40, 0)).toEqual([]);
    // Beneath a roof too low there is no room; beneath a high one there is.
    const roof = (y: number): PieceInHand => ({ family: 'block', at: [0, y, 0], size: [8, 1, 8] });
    expect(ground(floor(0, 0, 0, 8, 8), roof(0.8)).at(0, 0)).toEqual([1.8]);
    expect(ground(floor(0, 0, 0, 8, 8), roof(2)).at(0, 0)).toEqual([0, 3]);
  });

  test('scenery, hazards and what gives way are no ground', () => {
    const here = ground(
      { family: 'rock', at: [0, 0, 0] },
      { family: 'block', at: [9, 0, 0], size: [2, 1, 2], breaks: { touches: 1 } },
      { family: 'crate', at: [18, 0, 0], loose: true },
    );
    expect([here.at(0, 0), here.at(18, 0), here.at(36, 0)]).toEqual([[], [], []]);
  });
});
