import { byRank, ranksBefore } from '..';

const runs = [
  { strokes: 4, time: 60 },
  { strokes: 3, time: 90 },
  { strokes: 4, time: 50 },
  { strokes: 3, time: 91 },
];

test('where strokes count the fewest rank first, then the quickest; else only time does', () => {
  expect([...runs].sort(byRank('strokes')).map(({ time }) => time)).toEqual([90, 91, 50, 60]);
  expect([...runs].sort(byRank('point')).map(({ time }) => time)).toEqual([50, 60, 90, 91]);
  expect(ranksBefore('strokes', { strokes: 2, time: 300 }, { strokes: 3, time: 10 })).toBe(true);
  expect(ranksBefore('laps', { strokes: 2, time: 300 }, { strokes: 3, time: 10 })).toBe(false);
  expect(ranksBefore('laps', runs[0], runs[0])).toBe(false);
});
