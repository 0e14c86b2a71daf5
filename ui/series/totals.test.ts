import fc from 'fast-check';
import type { SeriesCourseTold } from '@/core/protocol';
import { courseAfter, nextToRun, totalOf } from './totals';

const course = (slug: string, more: Partial<SeriesCourseTold> = {}): SeriesCourseTold => ({
  ...{ slug, look: '', name: slug, maker: 'Wren', kind: 'point', runner: 'hopper', length: 40 },
  ...{ best: 10, own: null, shown: true },
  ...more,
});

test('times come to a sum only where none is missing', () => {
  const both = [course('a', { best: 10, own: 12 }), course('b', { best: 20.5, own: null })];
  expect(totalOf(both, 'best')).toBe(30.5);
  expect(totalOf(both, 'own')).toBeNull();
  expect(totalOf([], 'best')).toBeNull();
});

test('one goes on with what is not finished yet, in a sitting from the first', () => {
  const courses = [course('a', { own: 9 }), course('b', { shown: false }), course('c')];
  expect(nextToRun(courses, false)?.slug).toBe('c');
  expect(nextToRun(courses, true)?.slug).toBe('a');
  expect(nextToRun([course('a', { own: 9 })], false)?.slug).toBe('a');
  expect(nextToRun([course('b', { shown: false })], false)).toBeUndefined();
});

test('going from one to the next passes each that is up, once and in order', () => {
  fc.assert(
    fc.property(fc.array(fc.boolean(), { maxLength: 20 }), (shown) => {
      const courses = shown.map((up, i) => course(`c${i}`, { shown: up }));
      const passed: string[] = [];
      for (let at = nextToRun(courses, true); at; at = courseAfter(courses, at.slug)) {
        passed.push(at.slug);
      }
      expect(passed).toEqual(courses.filter((one) => one.shown).map(({ slug }) => slug));
    }),
  );
  expect(courseAfter([course('a')], 'elsewhere')).toBeUndefined();
});
