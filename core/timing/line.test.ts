import { DEMO_COURSES } from '@/demo/courses';
import { DEMO_RUNS } from '@/demo/runs';
import { courseOf, floor } from '../run/testing';
import { buildWorld, loadPhysics, type Run } from '../run';
import type { Course } from '../course';
import { runLine, traceOf, POINT_SIZE } from '.';
import { runOf } from './testing';

const lineOf = (course: Course, run: Run) => runLine(traceOf(course, run, buildWorld(course)));
const kinds = (course: Course, run: Run) => lineOf(course, run).marks.map(({ kind }) => kind);

test('marks what happened in its order: a wait, a jump and its landing', () => {
  const course = courseOf(floor(-5, 40));
  const run = runOf(course, [30, 16, 0, 0], [90, 0, 0, 0], [40, 16, 0, 0], [150, 16, 0, 1]);
  const { marks } = lineOf(course, run);
  expect(marks.map(({ kind }) => kind)).toEqual(['wait', 'jump', 'land']);
  const [wait, jump, land] = marks;
  // It waited where it had stopped, from when it had.
  expect(wait.tick).toBeGreaterThanOrEqual(30);
  expect(wait.tick).toBeLessThan(60);
  expect(jump.at[0]).toBeGreaterThan(wait.at[0]);
  expect(land.at[0]).toBeGreaterThan(jump.at[0] + 1);
  expect(land.at[1]).toBeCloseTo(0, 2);
});

test('a fall is marked where it ended, and the line breaks off there', () => {
  const course = courseOf(floor(-5, 5));
  const line = lineOf(course, runOf(course, [500, 16, 0, 0]));
  const fall = line.marks.find(({ kind }) => kind === 'fall')!;
  expect(fall.at[0]).toBeGreaterThan(5);
  expect(fall.at[1]).toBeLessThan(-1);
  const breaks = line.ticks.filter((_, i) => Number.isNaN(line.points[POINT_SIZE * i]));
  expect(breaks.length).toBeGreaterThan(0);
  // No piece of line leads from where it fell to where it came back.
  for (let i = 1; i < line.ticks.length; i++) {
    const step = line.points[POINT_SIZE * i] - line.points[POINT_SIZE * (i - 1)];
    if (!Number.isNaN(step)) expect(Math.abs(step)).toBeLessThan(1);
  }
});

test('a hit is marked, a step down is no landing', () => {
  const thorns = courseOf(floor(-5, 20), { family: 'thorns', at: [6, 0, 0] });
  expect(kinds(thorns, runOf(thorns, [300, 16, 0, 0]))).toContain('hit');
  const step = courseOf(floor(-5, 4), floor(4, 20, -0.15));
  expect(kinds(step, runOf(step, [240, 16, 0, 0]))).not.toContain('land');
});

test.each(DEMO_COURSES.map(({ slug, course }) => [slug, course] as const))(
  '%s: the line leads from the start to the lantern, its ticks in order and its top speed reached',
  async (slug, course) => {
    await loadPhysics(course);
    const trace = traceOf(course, DEMO_RUNS[slug][0].run, buildWorld(course));
    const { points, ticks, top } = runLine(trace);
    expect([...points.subarray(0, 3)]).toEqual([...Float32Array.from(trace.path.subarray(0, 3))]);
    expect([...points.subarray(-POINT_SIZE, -1)]).toEqual([
      ...Float32Array.from(trace.path.subarray(-3)),
    ]);
    expect(ticks.every((tick, i) => i === 0 || tick >= ticks[i - 1])).toBe(true);
    expect(top).toBeGreaterThan(1);
    expect(Math.max(...trace.speed)).toBe(Math.fround(top));
  },
);
