import fc from 'fast-check';
import { DEMO_COURSES } from '@/demo/courses';
import { DEMO_RUNS } from '@/demo/runs';
import { courseOf, floor } from '../testing';
import { CORE_VERSION, courseHash, Film, loadPhysics, replay, type Run, ReplayRefused } from '..';
import { cases } from '../../deep.testing';

const proof = async (slug: string) => {
  const course = DEMO_COURSES.find((one) => one.slug === slug)!.course;
  await loadPhysics(course);
  return { course, run: DEMO_RUNS[slug][0].run };
};

test.each(['low-tide-steps', 'kiln-yard', 'net-loft-links'])(
  '%s: asked for in any order, each tick is as it was in the run, bit for bit',
  async (slug) => {
    const { course, run } = await proof(slug);
    const { path, ticks } = replay(course, run);
    const film = new Film(course, run);
    expect(film.ticks).toBeGreaterThanOrEqual(ticks);
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: ticks }), { maxLength: 12 }), (asked) => {
        for (const at of asked) {
          const { x, y, z, tick } = film.goTo(at);
          expect(tick).toBe(at);
          expect([x, y, z]).toEqual([...path.subarray(3 * at, 3 * at + 3)]);
        }
      }),
      { numRuns: cases(8) },
    );
    expect(film.goTo(Infinity).tick).toBe(ticks);
    expect(film.goTo(-5).tick).toBe(0);
  },
);

const pacing = (course: Run['course'], inputs: Run['inputs']): Run => ({
  format: 'stone-hop-run',
  core: CORE_VERSION,
  course,
  seed: 1,
  inputs,
  claim: 0,
});

test('tells what the controls stood at, before and after each change', () => {
  const course = courseOf(floor(-5, 40));
  const film = new Film(
    course,
    pacing(courseHash(course), [
      [3, 16, 0, 0],
      [2, 0, 0, 1],
    ]),
  );
  expect([0, 1, 2, 3, 4].map((at) => film.inputAt(at).x)).toEqual([16, 16, 16, 0, 0]);
  expect([2, 3].map((at) => film.inputAt(at).jump)).toEqual([false, true]);
  // Past its end nothing is pressed any more.
  expect(film.inputAt(5)).toEqual({ x: 0, z: 0, jump: false });
});

test('of half an hour no more states are kept than of four minutes, and going back stays right', () => {
  const course = courseOf(floor(-30, 30));
  const inputs = Array.from({ length: 720 }, (_, i): [number, number, number, 0] => [
    300,
    i % 2 ? 12 : -12,
    0,
    0,
  ]);
  const run = pacing(courseHash(course), inputs);
  const film = new Film(course, run);
  expect(film.goTo(216_000).tick).toBe(216_000);
  expect(film.spacing).toBeGreaterThanOrEqual(216_000 / 240);
  const { path } = replay(course, run);
  for (const at of [150_001, 3, 99_999, 215_999]) {
    expect(film.goTo(at).x).toBe(path[3 * at]);
  }
});

test('a run of another course is refused', () => {
  const course = courseOf(floor(-5, 40));
  expect(() => new Film(course, pacing('0'.repeat(64), []))).toThrow(ReplayRefused);
});

test('begun part of the way it begins there', () => {
  const course = courseOf(floor(-5, 40));
  const run = pacing(courseHash(course), [[240, 16, 0, 0]]);
  const film = new Film(course, run, [10, 0, 0]);
  expect(film.state.x).toBeCloseTo(10, 3);
  const { path } = replay(course, run, { from: [10, 0, 0] });
  expect(film.goTo(240).x).toBe(path[3 * 240]);
});
