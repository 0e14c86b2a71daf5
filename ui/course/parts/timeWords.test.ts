import { timeWords } from './timeWords';

test('a maker’s own time comes before the expected one, which is told only of a way that is known', () => {
  expect(timeWords(7.4, 30.25)).toBe('. You finished it in 30.250.');
  expect(timeWords(7.4, undefined)).toBe(', about 7 s at a run.');
  expect(timeWords(null, undefined)).toMatch(/^\. A part of the way was not found/);
});
