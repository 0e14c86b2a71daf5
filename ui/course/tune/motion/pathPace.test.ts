import type { PathMotion } from '@/core/course';
import { legTimes } from '@/core/motion';
import { legTo, waitsWith } from './PathPace';

jest.mock('@expo/vector-icons/Feather', () => () => null);

const path = (change: Partial<PathMotion> = {}): PathMotion => ({
  kind: 'path',
  points: [
    [4, 0, 0],
    [4, 0, 4],
  ],
  ...change,
});

test('a wait is set at its own point, and with the last one gone there are none', () => {
  expect(waitsWith(path(), 1, 2)).toEqual([0, 2, 0]);
  expect(waitsWith(path({ waits: [0, 2, 1] }), 1, 0)).toEqual([0, 0, 1]);
  expect(waitsWith(path({ waits: [0, 2, 0] }), 1, 0)).toBeUndefined();
});

test('the time to a point is of the leg that ends there', () => {
  expect(legTo(path(), 2)).toBe(1);
  // To the first point nothing leads, unless the path goes round.
  expect(legTo(path(), 0)).toBe(0);
  const round = path({ after: 'round' });
  expect(legTo(round, 0)).toBe(legTimes(round).length - 1);
});
