import fc from 'fast-check';
import { touchedTick } from './touchedTick';

/** A point every 4 ticks, a metre apart along x. */
const line = (count: number) => ({
  points: Float32Array.from(Array.from({ length: count }, (_, i) => [i, 0, 0, 6]).flat()),
  ticks: Int32Array.from({ length: count }, (_, i) => 4 * i),
});
/** Ten pixels a metre. */
const see = ([x, y]: readonly [number, number, number]): [number, number] => [10 * x, 100 - 10 * y];

test('a finger near the line means the moment the run was there, between its points too', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 190 }), fc.integer({ min: -27, max: 27 }), (x, off) => {
      expect(touchedTick(line(20), see, x, 100 + off)).toBe(Math.round(0.4 * x));
    }),
  );
});

test('far off it means none, and past an end the end', () => {
  expect(touchedTick(line(20), see, 50, 140)).toBeNull();
  expect(touchedTick(line(20), see, 205, 100)).toBe(76);
  expect(touchedTick(line(0), see, 5, 100)).toBeNull();
});

test('where it breaks off or lies behind the eye nothing is touched, and nothing between', () => {
  const broken = line(20);
  broken.points.fill(NaN, 4 * 5, 4 * 15);
  expect(touchedTick(broken, see, 100, 100)).toBeNull();
  expect(touchedTick(broken, see, 45, 100)).toBe(16);
  const hidden = (place: readonly [number, number, number]) => (place[0] > 10 ? null : see(place));
  expect(touchedTick(line(20), hidden, 150, 100)).toBeNull();
});
