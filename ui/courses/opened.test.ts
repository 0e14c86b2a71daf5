import { emptyCourse } from '@/core/course';
import { toCourseFile, toShareCode } from '@/core/formats';
import { courseFromFile, linkSlug } from './opened';

/** A file as a browser hands it over; of this environment's own the text cannot be read. */
const file = (text: string, name = 'quay.json') =>
  ({ name, size: text.length, text: async () => text }) as File;

const course = emptyCourse('Quay Walk');

test('a course file and a code open as the course', async () => {
  for (const text of [toCourseFile(course), toShareCode(course)]) {
    expect((await courseFromFile(file(text))).name).toBe('Quay Walk');
  }
});

test('what is none of these, or far too large, is refused in words', async () => {
  await expect(courseFromFile(file('hello'))).rejects.toThrow();
  const large = { ...file(''), size: 9 * 1024 * 1024, name: 'big.json' } as File;
  await expect(courseFromFile(large)).rejects.toThrow('big.json has 9 MB');
});

test('a link to a course is told from other text', () => {
  expect(linkSlug(' https://hop.example/play/low-tide-steps ')).toBe('low-tide-steps');
  expect(linkSlug('/play/eel-run-x1')).toBe('eel-run-x1');
  expect(linkSlug('https://hop.example/course/abc')).toBeNull();
  expect(linkSlug('play low-tide-steps')).toBeNull();
});
