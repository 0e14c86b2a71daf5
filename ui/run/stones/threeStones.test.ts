import fc from 'fast-check';
import { distance, sub, type Vec3 } from '@/core/geometry';
import { axes, eyePlace, pictureOf, TAN_HALF_FIELD as tanHalf } from '@/core/sight';
import { eyeOnStones, stonesBy, type Placed } from './threeStones';

const FIRST: readonly Placed[] = [
  { place: 1, player: 'Isla', measure: '0:10.000' },
  { place: 2, player: 'Brice', measure: '0:11.000' },
  { place: 3, player: 'Tam', measure: '0:12.000' },
  { place: 4, player: 'Oskar', measure: '0:13.000' },
];
const metres = fc.double({ min: -80, max: 80, noNaN: true });
const place = fc.tuple(metres, metres, metres);
const lanterns = fc.record({
  at: place,
  course: place,
  sideOn: fc.boolean(),
  tide: fc.constantFrom(-Infinity, -2, 1, 200),
});

test('the first stands highest and in the middle, the second left of it, the third right and lowest', () => {
  fc.assert(
    fc.property(lanterns, (lantern) => {
      const stones = stonesBy(lantern, FIRST);
      expect(stones.map((one) => one.place)).toEqual([1, 2, 3]);
      const { right } = axes(eyeOnStones(lantern, 1, { width: 1, height: 1 }));
      const aside = (p: Vec3) => {
        const [x, , z] = sub(p, lantern.at);
        return x * right[0] + z * right[2];
      };
      const [first, second, third] = stones.map(({ stand }) => stand);
      expect(aside(second)).toBeLessThan(aside(first) - 1);
      expect(aside(third)).toBeGreaterThan(aside(first) + 1);
      expect([first[1] > second[1], second[1] > third[1]]).toEqual([true, true]);
      for (const { stone, stand } of stones) {
        // One stands on top of it, and it is a stone of some height.
        expect(stone.at[1] + stone.size![1]).toBeCloseTo(stand[1], 9);
        expect(stone.size![1]).toBeGreaterThanOrEqual(1 - 1e-9);
      }
    }),
  );
});

test('the eye has all of them in what is free of its picture, and the course lies behind', () => {
  const free = fc.constantFrom({ width: 1, height: 0.3 }, { width: 0.68, height: 1 });
  fc.assert(
    fc.property(lanterns, fc.constantFrom(390 / 844, 1280 / 800), free, (lantern, shape, part) => {
      const eye = eyeOnStones(lantern, shape, part);
      const { right, up, ahead } = axes(eye);
      const from = eyePlace(eye);
      const seen = pictureOf(eye, shape);
      const along = (p: Vec3, axis: readonly number[]) =>
        sub(p, from).reduce((sum, v, i) => sum + v * axis[i], 0);
      for (const { stand } of stonesBy(lantern, FIRST)) {
        expect(seen(stand)).toBe(true);
        // From -1 to 1 over the whole picture.
        const edge = along(stand, ahead) * tanHalf;
        expect(along(stand, right) / (edge * shape)).toBeLessThan(2 * part.width - 1);
        expect(along(stand, up) / edge).toBeGreaterThan(1 - 2 * part.height);
      }
      if (
        !lantern.sideOn &&
        distance(lantern.at, [lantern.course[0], lantern.at[1], lantern.course[2]]) > 1
      ) {
        const level: Vec3 = [lantern.course[0], lantern.at[1], lantern.course[2]];
        expect(along(level, ahead)).toBeGreaterThan(along(lantern.at, ahead));
      }
    }),
  );
});

test('nobody yet, no stones', () => {
  const lantern = { at: [0, 0, 0] as Vec3, course: [0, 0, 0] as Vec3, sideOn: false, tide: 0 };
  expect(stonesBy(lantern, [])).toEqual([]);
});
