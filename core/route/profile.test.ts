import { lowTideSteps } from '@/demo/courses/lowTideSteps';
import { DEMO_RUNS } from '@/demo/runs';
import { replay } from '../run';
import { plainWay, thinPath, unroll, wayLength } from '.';

const { course } = lowTideSteps;

test('unrolled along a run the course is as long as its way, with everything in order', () => {
  const { path } = replay(course, DEMO_RUNS['low-tide-steps'][0].run);
  const way = thinPath(path);
  const { length, marks, stations } = unroll(course, way);
  expect(length).toBeCloseTo(wayLength(way), 6);
  expect(length).toBeGreaterThan(wayLength(plainWay(course)));
  const along = (kind: string) => marks.filter((m) => m.kind === kind).map((m) => m.along);
  expect(along('checkpoint').length).toBe(2);
  expect(along('pickup').length).toBe(12);
  expect(along('hazard').length).toBe(2);
  expect(along('mover').length).toBe(2);
  expect(along('start')[0]).toBeLessThan(2);
  expect(along('goal')[0]).toBeGreaterThan(length - 3);
  expect(stations.every((s, i) => i === 0 || s.along > stations[i - 1].along)).toBe(true);
});

test('a course without marks has no way', () => {
  const bare = { ...course, pieces: [] };
  expect(unroll(bare, plainWay(bare))).toEqual({ length: 0, stations: [], marks: [] });
});
