import fc from 'fast-check';
import { layPieces } from '@/core/edit';
import { emptyCourse, type Course } from '@/core/course';
import { nextStart, startCount } from './startChoice';

let made = 0;
/** A course of its own with so many starts. */
const withStarts = (count: number, starts: Course['starts']): Course =>
  layPieces({ ...emptyCourse('Starts'), starts, gravity: 10 + made++ / 1e4 }, [
    ...Array.from({ length: count }, (_, i) => ({
      family: 'start',
      at: [i * 3, 0, 0] as [number, number, number],
      params: { leg: 1 },
    })),
  ]);

test('a course that says nothing has one start to begin at, however many lie about', () => {
  const course = { ...withStarts(3, 'turn'), starts: undefined };
  expect(startCount(course)).toBe(1);
  expect(nextStart(course, 2)).toBe(0);
});

test('by turn the starts follow one another, round and round', () => {
  const course = withStarts(3, 'turn');
  expect(Array.from({ length: 7 }, () => nextStart(course, 0))).toEqual([0, 1, 2, 0, 1, 2, 0]);
});

test('by chance each start comes once before any comes again', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 9 }),
      fc.array(fc.double({ min: 0, max: 0.999, noNaN: true }), { minLength: 30, maxLength: 30 }),
      (count, randoms) => {
        const course = withStarts(count, 'chance');
        const came = randoms.map((random) => nextStart(course, 0, () => random));
        for (let i = 0; i + count <= came.length; i += count) {
          expect(new Set(came.slice(i, i + count)).size).toBe(count);
        }
      },
    ),
    { numRuns: 40 },
  );
});

test('the player’s choice stands for as long as the course has it', () => {
  expect(nextStart(withStarts(3, 'choice'), 2)).toBe(2);
  expect(nextStart(withStarts(2, 'choice'), 5)).toBe(1);
});
