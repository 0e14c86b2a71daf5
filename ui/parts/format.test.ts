import {
  ago,
  metres,
  numberText,
  resultText,
  runTime,
  shortNumber,
  timeGap,
  triesWords,
} from './format';

test.each([
  [31.6419999, '31.642'],
  [0, '0.000'],
  [59.9996, '1:00.000'],
  [62.48, '1:02.480'],
  [600.005, '10:00.005'],
])('%d s reads %s', (seconds, words) => expect(runTime(seconds)).toBe(words));

test('gaps carry their sign, numbers no float tails', () => {
  expect([timeGap(-0.8714), timeGap(0.38)]).toEqual(['−0.871', '+0.380']);
  expect([0.1 + 0.2, -3.2, 6].map(shortNumber)).toEqual(['0.3', '-3.2', '6']);
  expect(numberText(-3.2)).toBe('−3.2');
  expect(metres(112.4)).toBe('112 m');
  expect(ago(Date.now() - 1000)).toBe('just now');
  expect(ago(Date.now() - 7_200_000)).toBe('2 hours ago');
});

test('tries are told in words, whatever their number', () => {
  expect(triesWords({ tries: 0, finishes: 0 })).toBe('Not run yet');
  expect(triesWords({ tries: 1, finishes: 1 })).toBe('100 % finish · 1 try');
  expect(triesWords({ tries: 1204, finishes: 734 })).toBe('61 % finish · 1,204 tries');
});

test('where the fewest strokes win, those come before the time', () => {
  expect(resultText('strokes', { time: 12.5, strokes: 3 })).toBe('3 strokes, 12.500');
  expect(resultText('strokes', { time: 12.5, strokes: 1 })).toBe('1 stroke, 12.500');
  expect(resultText('point', { time: 12.5, strokes: 3 })).toBe('12.500');
});
