import { emptyCourse, CourseSchema } from '@/core/course';
import { DEMO_COURSES } from '@/demo/courses';
import { walk } from '../testing/courses';
import { unknownLength } from './unknown';

const of = (value: unknown) => unknownLength(CourseSchema, value);

test('every field of a demo course is known', () => {
  for (const { course } of DEMO_COURSES) expect(of(course)).toBe(0);
});

test('what is not known counts wherever it stands', () => {
  const long = 'x'.repeat(1000);
  const course = walk();
  const [piece, ...rest] = course.pieces;
  const places: Record<string, unknown>[] = [
    { ...emptyCourse('A'), more: long },
    { ...emptyCourse('A'), runner: { kind: 'hopper', more: long } },
    { ...course, pieces: [{ ...piece, more: long }, ...rest] },
    { ...course, pieces: [...rest, { ...piece, look: { more: { deep: [long] } } }] },
    {
      ...emptyCourse('A'),
      sketch: { points: [], notes: [{ at: [0, 0, 0], text: '', more: long }] },
    },
    { ...emptyCourse('A'), sky: { more: long } },
    { ...emptyCourse('A'), layers: [{ id: 'a', name: 'a', more: long }] },
    { ...emptyCourse('A'), targets: { steady: 3, brisk: 2, swift: 1, more: long } },
    { ...emptyCourse('A'), toString: long },
  ];
  for (const place of places) {
    expect(of(place)).toBeGreaterThanOrEqual(1000);
    expect(of(place)).toBeLessThan(1100);
  }
});

test('what is known and long does not count', () => {
  expect(of({ ...walk(), notes: 'x'.repeat(3000), welcome: 'y'.repeat(200) })).toBe(0);
  expect(of(null)).toBe(0);
  expect(of([1, 2])).toBe(0);
});
