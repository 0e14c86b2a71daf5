import fc from 'fast-check';
import { fromShareCode, openText, toCourseFile, toShareCode } from '../formats';
import { courseHash } from '../run';
import { emptyCourse } from './create';
import { copyOf } from './copyOf';
import { MOST_ORIGINS, type Origin } from './origin';
import { toCourse } from './read';

const from = (name: string): Origin => ({ name, maker: 'Maura', slug: `${name}-slug` });

test('a copy of a copy keeps both, the nearest first', () => {
  const copy = copyOf(copyOf(emptyCourse('Mine'), from('First')), from('Second'));
  expect(copy.origins!.map(({ name }) => name)).toEqual(['Second', 'First']);
  // Where it came from is felt by no run.
  expect(courseHash(copy)).toBe(courseHash(emptyCourse('Mine')));
});

test('it goes along in files and codes', () => {
  const copy = copyOf(emptyCourse('Mine'), from('First'));
  expect(openText(toCourseFile(copy)).origins).toEqual([from('First')]);
  expect(fromShareCode(toShareCode(copy)).origins).toEqual([from('First')]);
});

test('however often it is copied, it can be read, and who began it is known', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 40 }), (times) => {
      let course = emptyCourse('Mine');
      for (let i = 0; i < times; i++) course = copyOf(course, from(`Copy ${i}`));
      const { origins } = toCourse(JSON.parse(JSON.stringify(course)));
      expect(origins!.length).toBe(Math.min(times, MOST_ORIGINS));
      expect(origins![0].name).toBe(`Copy ${times - 1}`);
      expect(origins!.at(-1)!.name).toBe('Copy 0');
    }),
    { numRuns: 20 },
  );
});
