import type { RunResult } from '@/core/run';
import { isBehind, runWords, splitRows, strokeGap } from './splits';

jest.mock('../../parts', () => jest.requireActual<object>('../../parts/format'));

const result = (change: Partial<RunResult> = {}): RunResult => ({
  finished: true,
  time: 40,
  ticks: 4800,
  splits: [],
  rounds: [],
  gathered: 0,
  pickups: 0,
  falls: 0,
  jumps: 0,
  worth: 0,
  legs: [],
  events: [],
  path: new Float64Array(),
  poses: '',
  ...change,
});
const split = (piece: string, number: number, time: number, round = 0) => ({
  piece,
  number,
  time,
  round,
});

test('each checkpoint is held against the same one of the best, whatever its number is now', () => {
  const own = result({ splits: [split('a', 1, 10), split('b', 2, 22)] as never });
  const best = { time: 38, jumps: 3, rounds: [], splits: [split('b', 1, 20)] as never };
  expect(splitRows(own, best, 'jump')).toEqual([
    { name: 'Checkpoint 1', time: 10, best: undefined },
    { name: 'Checkpoint 2', time: 22, best: 20 },
    { name: 'Goal', time: 40, best: 38 },
  ]);
});

test('of laps each round is told, the best of them by name, and checkpoints by their round', () => {
  const own = result({
    rounds: [21, 19],
    splits: [split('a', 1, 10, 0), split('a', 1, 31, 1)] as never,
  });
  const best = { time: 38, jumps: 3, rounds: [20, 18], splits: [split('a', 1, 29, 1)] as never };
  expect(splitRows(own, best, 'jump')).toEqual([
    { name: 'Round 1, checkpoint 1', time: 10, best: undefined },
    { name: 'Round 2, checkpoint 1', time: 31, best: 29 },
    { name: 'Round 1', time: 21, best: 20 },
    { name: 'Round 2, the best', time: 19, best: 18 },
    { name: 'Goal', time: 40, best: 38 },
  ]);
});

test('legs tell their strokes where strokes are made', () => {
  const legs = [
    { strokes: 1, time: 5 },
    { strokes: 3, time: 9 },
  ];
  const names = (effort: 'jump' | 'stroke') =>
    splitRows(result({ legs }), undefined, effort).map(({ name }) => name);
  expect(names('stroke')).toEqual(['Leg 1, 1 stroke', 'Leg 2, 3 strokes', 'Goal']);
  expect(names('jump')).toEqual(['Leg 1', 'Leg 2', 'Goal']);
});

test.each([
  [result(), 'no falls'],
  [result({ falls: 1, jumps: 1 }), '1 fall · 1 jump'],
  [result({ falls: 3, jumps: 12, gathered: 2, pickups: 5 }), '2 of 5 shells · 3 falls · 12 jumps'],
])('a run is told in words', (own, words) => {
  expect(runWords(own, undefined, 'jump')).toBe(words);
});

test.each([
  [30, 'swift'],
  [31, 'brisk, 1.0 s from swift'],
  [45.5, 'steady, 0.5 s from brisk'],
  [61, '1.0 s from steady'],
])('a run of %s s meets the target it meets', (time, words) => {
  const targets = { swift: 30, brisk: 45, steady: 60 };
  expect(runWords(result({ time }), targets, 'jump')).toBe(`no falls · ${words}`);
});

test('what ranks after the best is behind it: by strokes where they count, else by time', () => {
  const best = { time: 40, jumps: 4, splits: [], rounds: [] };
  expect(isBehind('strokes', result({ jumps: 5, time: 30 }), best)).toBe(true);
  expect(isBehind('strokes', result({ jumps: 3, time: 90 }), best)).toBe(false);
  expect(isBehind('point', result({ jumps: 9, time: 39 }), best)).toBe(false);
  expect([strokeGap(2), strokeGap(-1)]).toEqual(['+2 strokes', '−1 stroke']);
});
