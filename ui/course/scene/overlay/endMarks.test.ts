import fc from 'fast-check';
import type { EndsAt } from '@/core/timing';
import { marksSeen } from './EndMarks';

const end = (x: number, count: number): EndsAt => ({ at: [x, 0, 0], count, part: 1 });

test('what lies over one another is one mark, where most were', () => {
  const marks = marksSeen([end(0, 5), end(200, 4), end(10, 2)], ([x]) => [x, 100]);
  expect(marks).toEqual([
    { at: [0, 100], count: 7, part: 1 },
    { at: [200, 100], count: 4, part: 4 / 7 },
  ]);
});

test('what cannot be seen has no mark; of all that can none is left out, and no two touch', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: -300, max: 900 }), fc.integer({ min: 1, max: 9 })), {
        maxLength: 40,
      }),
      (places) => {
        const marks = marksSeen(
          places.map(([x, count]) => end(x, count)),
          ([x]) => (x < 0 ? null : [x, 0]),
        );
        const seen = places.filter(([x]) => x >= 0);
        expect(marks.reduce((sum, { count }) => sum + count, 0)).toBe(
          seen.reduce((sum, [, count]) => sum + count, 0),
        );
        const xs = marks.map(({ at }) => at[0]).sort((a, b) => a - b);
        xs.forEach((x, i) => i > 0 && expect(x - xs[i - 1]).toBeGreaterThanOrEqual(34));
        for (const { part } of marks) expect(part > 0 && part <= 1).toBe(true);
      },
    ),
  );
});
