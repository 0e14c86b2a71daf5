import { extentWords } from './extentWords';

const about = { length: 111.6, climb: 0, time: 7.4, strokes: 3 };

test('a time is told where a way is known all along, and the maker’s own where there is one', () => {
  expect(extentWords('point', about, undefined)).toBe('112 m, about 7 s');
  expect(extentWords('point', { ...about, time: null }, undefined)).toBe('112 m');
  expect(extentWords('point', about, '30.250')).toBe('112 m, run in 30.250');
});

test('where the fewest strokes win, those are told', () => {
  expect(extentWords('strokes', about, undefined)).toBe('112 m, at least 3 strokes');
  expect(extentWords('strokes', { ...about, strokes: null }, undefined)).toBe('112 m');
  expect(extentWords('strokes', about, '4 strokes, 30.250')).toBe(
    '112 m, run in 4 strokes, 30.250',
  );
});
