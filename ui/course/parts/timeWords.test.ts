import { timeWords } from './timeWords';

jest.mock('../../parts', () => jest.requireActual<object>('../../parts/format'));

const about = (time: number | null, strokes: number | null = null) => ({ time, strokes });

test('a maker’s own time comes before the expected one, which is told only of a way that is known', () => {
  expect(timeWords('point', about(7.4), '30.250')).toBe('. You finished it in 30.250.');
  expect(timeWords('point', about(7.4), undefined)).toBe(', about 7 s at a run.');
  expect(timeWords('point', about(null), undefined)).toMatch(/^\. A part of the way was not found/);
});

test('where the fewest strokes win, strokes are told and no time', () => {
  expect(timeWords('strokes', about(7.4, 4), undefined)).toBe(', at least 4 strokes.');
  expect(timeWords('strokes', about(7.4, 1), undefined)).toBe(', at least 1 stroke.');
  expect(timeWords('strokes', about(7.4), undefined)).toBe('.');
  expect(timeWords('strokes', about(7.4, 4), '3 strokes, 12.500')).toMatch(
    /in 3 strokes, 12.500\./,
  );
});
