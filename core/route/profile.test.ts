import { layPieces } from '@/core/edit';
import { emptyCourse, type Piece } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { lowTideSteps } from '@/demo/courses/lowTideSteps';
import { DEMO_RUNS } from '@/demo/runs';
import { replay } from '../run';
import { beatMarks, marksOf, RUN_LEAP, thinPath, elevationProfile, wayLength } from '.';

const { course } = lowTideSteps;

test('unrolled along a run the course is as long as its way, with everything in order', () => {
  const { path } = replay(course, DEMO_RUNS['low-tide-steps'][0].run);
  const way = thinPath(path);
  const { length, marks, stations } = elevationProfile(course, way, RUN_LEAP);
  expect(length).toBeCloseTo(wayLength(way), 6);
  expect(length).toBeGreaterThan(wayLength(marksOf(course).flat()));
  const along = (kind: string) => marks.filter((m) => m.kind === kind).map((m) => m.along);
  expect(along('checkpoint').length).toBe(2);
  expect(along('pickup').length).toBe(12);
  expect(along('hazard').length).toBe(2);
  expect(along('mover').length).toBe(2);
  expect(along('start')[0]).toBeLessThan(2);
  expect(along('goal')[0]).toBeGreaterThan(length - 3);
  expect(stations.every((s, i) => i === 0 || s.along > stations[i - 1].along)).toBe(true);
});

test('what has been made a hazard or to move is marked as one', () => {
  const laid = layPieces(emptyCourse('Trial'), [
    { family: 'start', at: [0, 0, 0] },
    { family: 'slab', at: [4, 0, 0] },
    { family: 'slab', at: [8, 0, 0] },
  ]);
  const spin = [{ kind: 'spin', axis: 'y', period: 4 }] as Piece['motion'];
  const pieces = [
    laid.pieces[0],
    { ...laid.pieces[1], role: 'hazard' as const },
    { ...laid.pieces[2], motion: spin },
  ];
  const { marks } = elevationProfile({ ...laid, pieces }, [
    [0, 0, 0],
    [10, 0, 0],
  ]);
  expect(marks.map(({ kind }) => kind)).toEqual(['start', 'hazard', 'mover']);
});

test('a return to a checkpoint is no part of the way; a long straight of what is meant is', () => {
  const way = Array.from({ length: 80 }, (_, i): Vec3 => [i < 40 ? 3 * i : 3 * i - 60, 0, 0]);
  expect(elevationProfile(course, way).length).toBeCloseTo(wayLength(way), 6);
  expect(elevationProfile(course, way, 10).length).toBeCloseTo(wayLength(way) - 57, 6);
});

test('a course without marks has no way', () => {
  const bare = { ...course, pieces: [] };
  expect(elevationProfile(bare, marksOf(bare).flat())).toEqual({
    length: 0,
    stations: [],
    marks: [],
  });
});

test('beats fall where the runner is at its full pace', () => {
  const tempo = { beats: 120, offset: 0.5, bar: 4 };
  const marks = beatMarks({ tempo, runner: { kind: 'hopper' } }, 30);
  expect(marks.slice(0, 3).map(({ along }) => along)).toEqual([3, 6, 9]);
  expect(marks.filter(({ bar }) => bar).map(({ along }) => along)).toEqual([3, 15, 27]);
  expect(beatMarks({ runner: { kind: 'hopper' } }, 30)).toEqual([]);
});
