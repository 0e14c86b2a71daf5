import fc from 'fast-check';
import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { elevationProfile } from '@/core/route';
import { FOOT, HEIGHT, nearest, ribbonScales, SIDE, stationAt } from './scales';

const course = layPieces(emptyCourse('Ribbon', 'free'), [
  { family: 'slab', at: [10, -1, 0], size: [40, 1, 6] },
  { family: 'start', at: [0, 0, 0] },
  { family: 'cairn', at: [8, 0, 0] },
  { family: 'lantern', at: [20, 0, 0] },
]);
const metres = fc.integer({ min: -40, max: 40 });
const ways = fc
  .array(fc.tuple(metres, fc.integer({ min: -3, max: 30 }), metres), { minLength: 2, maxLength: 9 })
  .map((way) => way as unknown as Vec3[]);

test('all of a way stands within the ribbon, its beginning at the left, its end at the right', () => {
  fc.assert(
    fc.property(
      ways,
      fc.integer({ min: 200, max: 1400 }),
      fc.integer({ min: -9, max: 3 }),
      (way, width, tide) => {
        const profile = elevationProfile(course, way);
        const { x, y } = ribbonScales(profile, tide, width);
        expect(x(0)).toBe(SIDE);
        if (profile.length >= 1) expect(x(profile.length)).toBeCloseTo(width - SIDE, 6);
        const outside = profile.stations.filter(
          ({ along, at }) =>
            !(x(along) >= SIDE - 1e-6 && x(along) <= width - SIDE + 1e-6) ||
            !(y(at[1]) > 0 && y(at[1]) <= HEIGHT - FOOT),
        );
        expect(outside).toEqual([]);
        expect(y(tide)).toBeLessThanOrEqual(HEIGHT - FOOT);
      },
    ),
    { numRuns: 100 },
  );
});

test('a place of the way is nearest to itself, and so many metres along it lead to it', () => {
  fc.assert(
    fc.property(ways, fc.nat(1000), (way, pick) => {
      const { stations } = elevationProfile(course, way);
      fc.pre(stations.length > 0);
      const station = stations[pick % stations.length];
      const found = nearest(stations, station.at)!;
      expect(Math.hypot(...found.at.map((v, i) => v - station.at[i]))).toBeLessThan(1e-9);
      expect(stationAt(stations, station.along)!.along).toBeCloseTo(station.along, 9);
    }),
    { numRuns: 100 },
  );
});

test('without a way there is nothing to be near to', () => {
  expect(nearest([], [0, 0, 0])).toBeUndefined();
  expect(stationAt([], 3)).toBeUndefined();
});
