import { nameProblem } from './courseName';
import { emptyCourse, toCourse } from '.';

test.each(['Tab\tbed', 'Bell\u0007', 'Turned \u202eround', 'Kept \u2067apart'])(
  'characters that are not seen are none of a name: %j',
  (name) => {
    expect(nameProblem(name)).toMatch(/not seen/);
    const document = { ...emptyCourse('Plain'), name };
    expect(() => toCourse(document)).toThrow(/not seen/);
  },
);

test.each([
  '   ',
  '\u200b\u200b\u200b\u200b',
  '\u3164\u3164\u3164',
  '\u2800\u2800\u2800',
  'a \u200d\u00a0 b',
  '',
])('what shows fewer than three letters is no name: %j', (name) => {
  expect(nameProblem(name)).toMatch(/three letters/);
});

test('any letters that are seen may stand in one', () => {
  for (const name of [
    'Île d’Été',
    'Κύμα 3',
    '岩の道です',
    'مسار البحر',
    '🪨 Hop',
    '👩🏽‍🚒 at sea',
    'क्षि नदी',
  ]) {
    expect(nameProblem(name)).toBeNull();
  }
});
