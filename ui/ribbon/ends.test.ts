import fc from 'fast-check';
import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { elevationProfile } from '@/core/route';
import { endsAlong } from './ends';

const course = layPieces(emptyCourse('Ribbon', 'free'), [
  { family: 'start', at: [0, 0, 0] },
  { family: 'lantern', at: [28, 0, 0] },
]);
const { stations, length } = elevationProfile(course, [
  [0, 0, 0],
  [28, 0, 0],
]);

test('tries that end in one place are counted together, where most did as one', () => {
  const ends = endsAlong(stations, length, [
    [5.2, 0, 0],
    [5.4, 0, 0.3],
    [20.5, -3, 0],
  ]);
  expect(ends.map(({ part }) => part)).toEqual([1, 0.5]);
  expect(ends[0].from <= 5.2 && 5.4 <= ends[0].to).toBe(true);
  expect(ends[1].from <= 20.5 && 20.5 <= ends[1].to).toBe(true);
});

test('none is booked to a way it is far off; without a way or tries there is nothing', () => {
  expect(endsAlong(stations, length, [[10, 0, 40]])).toEqual([]);
  expect(endsAlong(stations, length, [])).toEqual([]);
  expect(endsAlong([], 0, [[0, 0, 0]])).toEqual([]);
});

test('wherever tries end, stretches lie within the way and do not overlap', () => {
  const metres = fc.integer({ min: -20, max: 50 });
  fc.assert(
    fc.property(fc.array(fc.tuple(metres, metres, metres), { maxLength: 40 }), (ends) => {
      const told = endsAlong(stations, length, ends);
      told.forEach(({ from, to, part }, i) => {
        expect(from >= 0 && to <= length + 1e-9 && part > 0 && part <= 1).toBe(true);
        if (i > 0) expect(from).toBeGreaterThanOrEqual(told[i - 1].to - 1e-9);
      });
      if (told.length > 0) expect(Math.max(...told.map(({ part }) => part))).toBe(1);
    }),
  );
});
