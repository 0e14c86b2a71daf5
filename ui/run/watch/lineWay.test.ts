import fc from 'fast-check';
import { elevationProfile, RUN_LEAP } from '@/core/route';
import { emptyCourse } from '@/core/course';
import { lineWay } from './lineWay';

const lineOf = (places: readonly (readonly [number, number, number])[], every = 4) => ({
  points: new Float32Array(places.flatMap((place) => [...place, 1])),
  ticks: Int32Array.from(places, (_, i) => every * i),
});

test('metres along a line and its ticks are told from each other', () => {
  const { tickAt, alongAt } = lineWay(
    lineOf([
      [0, 0, 0],
      [1, 0, 0],
      [1, 0, 0.5],
    ]),
  );
  expect(alongAt(2)).toBeCloseTo(0.5, 6);
  expect(alongAt(8)).toBeCloseTo(1.5, 6);
  expect(tickAt(1.25)).toBe(6);
  // Past its ends it is at its ends.
  expect([tickAt(-3), tickAt(99), alongAt(-5), alongAt(500)]).toEqual([0, 8, 0, 1.5]);
});

test('a return to a checkpoint is no way', () => {
  const { way, alongAt, tickAt } = lineWay(
    lineOf([
      [0, 0, 0],
      [1, 0, 0],
      [NaN, NaN, NaN],
      [40, 0, 0],
      [41, 0, 0],
    ]),
  );
  expect(way).toHaveLength(4);
  expect(alongAt(16)).toBeCloseTo(2, 6);
  expect(tickAt(1.5)).toBe(14);
});

test('a run that never moved is at one place', () => {
  expect(lineWay(lineOf([])).tickAt(3)).toBe(0);
  expect(lineWay(lineOf([[2, 0, 0]])).alongAt(9)).toBe(0);
  const still = lineWay(
    lineOf([
      [2, 0, 0],
      [2, 0, 0],
      [2, 0, 0],
    ]),
  );
  expect(still.alongAt(5)).toBe(0);
  expect(Number.isFinite(still.tickAt(0))).toBe(true);
});

test('for any line it is as long as the ribbon unrolls it, goes on with time, and comes back to each place', () => {
  const step = fc.double({ min: -1.4, max: 1.4, noNaN: true });
  fc.assert(
    fc.property(fc.array(fc.tuple(step, step, step), { minLength: 2, maxLength: 30 }), (steps) => {
      const places = steps.reduce<[number, number, number][]>(
        (all, [x, y, z]) => {
          const [px, py, pz] = all[all.length - 1];
          return [...all, [Math.fround(px + x), Math.fround(py + y), Math.fround(pz + z)]];
        },
        [[0, 0, 0]],
      );
      const line = lineOf(places);
      const { way, alongAt, tickAt } = lineWay(line);
      const { length } = elevationProfile(emptyCourse('Line', 'free'), way, RUN_LEAP);
      const last = line.ticks[line.ticks.length - 1];
      expect(alongAt(last)).toBeCloseTo(length, 6);
      for (let tick = 1; tick <= last; tick++) {
        expect(alongAt(tick)).toBeGreaterThanOrEqual(alongAt(tick - 1) - 1e-9);
        // A tick is rounded: by no more than is run in one.
        const gap = Math.abs(alongAt(tickAt(alongAt(tick))) - alongAt(tick));
        expect(gap).toBeLessThan(2.5 / 4 + 1e-6);
      }
    }),
  );
});
