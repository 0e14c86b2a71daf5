import fc from 'fast-check';
import type { PublishedCourse } from '@/core/protocol';
import { besideKeys, toggleBesideRun, useBesideRuns } from './besideRuns';

const row = (run: string | undefined, own = false): PublishedCourse['best'][number] => ({
  place: 1,
  player: own ? 'Tam' : 'Orla',
  time: 30,
  own,
  ...(run === undefined ? {} : { run }),
});
const published = (
  best: PublishedCourse['best'],
  makerTime: number | null = 20,
  slug = 'quay',
): Pick<PublishedCourse, 'slug' | 'best' | 'makerTime'> => ({ slug, best, makerTime });
const keys = (of: ReturnType<typeof published>) => besideKeys(of, useBesideRuns.getState().of);

beforeEach(() => useBesideRuns.setState({ of: {} }));

test('one’s own best goes along until something else is wanted', () => {
  const data = published([row('1'), row('2', true)]);
  expect(keys(data)).toEqual(['2']);
  toggleBesideRun(data, 'maker');
  expect(keys(data)).toEqual(['2', 'maker']);
  toggleBesideRun(data, '2');
  expect(keys(data)).toEqual(['maker']);
  toggleBesideRun(data, 'maker');
  // None wanted is a wish as well.
  expect(keys(data)).toEqual([]);
  expect(keys(published([row('1')]))).toEqual([]);
});

test('what can be seen no longer does not go along, and each course has its own', () => {
  const data = published([row('1'), row('2')]);
  toggleBesideRun(data, '1');
  toggleBesideRun(data, 'maker');
  expect(keys(published([row(undefined), row('2')]))).toEqual(['maker']);
  expect(keys(published([row('1')], null))).toEqual(['1']);
  expect(keys(published([row('1')], 20, 'pier'))).toEqual([]);
});

test('whatever is touched, at most five go along, each once, the last touched among them', () => {
  const best = Array.from({ length: 9 }, (_, i) => row(String(i)));
  const data = published(best);
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 8 }), { maxLength: 30 }), (touched) => {
      useBesideRuns.setState({ of: {} });
      for (const key of touched) {
        const was = keys(data).includes(String(key));
        toggleBesideRun(data, String(key));
        expect(keys(data).includes(String(key))).toBe(!was);
        expect(keys(data).length).toBeLessThanOrEqual(5);
        expect(new Set(keys(data)).size).toBe(keys(data).length);
      }
    }),
  );
});
