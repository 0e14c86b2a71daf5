import { extentWords } from './extentWords';

const about = { length: 111.6, climb: 0, time: 7.4 };

test('a time is told where a way is known all along, and the maker’s own where there is one', () => {
  expect(extentWords(about, undefined)).toBe('112 m, about 7 s');
  expect(extentWords({ ...about, time: null }, undefined)).toBe('112 m');
  expect(extentWords(about, 30.25)).toBe('112 m, run in 30.250');
});
