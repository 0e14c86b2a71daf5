import fc from 'fast-check';
import { BoxTree, crossesBox } from './boxTree';

const place = fc.tuple(
  fc.integer({ min: -20, max: 20 }),
  fc.integer({ min: -20, max: 20 }),
  fc.integer({ min: -20, max: 20 }),
);
const size = fc.tuple(fc.nat(6), fc.nat(6), fc.nat(6));

test('a line finds every box it passes through, and no other', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(place, size), { maxLength: 60 }), place, place, (all, a, b) => {
      const boxes = Float64Array.from(
        all.flatMap(([low, by]) => [...low, ...low.map((v, axis) => v + by[axis])]),
      );
      const met: number[] = [];
      const stopped = new BoxTree(boxes).some(a, b, (box) => {
        met.push(box);
        return false;
      });
      expect(stopped).toBe(false);
      const wanted = all.map((_, i) => i).filter((i) => crossesBox(a, b, boxes, 6 * i));
      expect(met.sort((i, j) => i - j)).toEqual(wanted);
    }),
  );
});

test('it is asked no further once one holds what is asked', () => {
  const boxes = Float64Array.from(
    Array.from({ length: 50 }, (_, i) => [i, -1, -1, i + 0.5, 1, 1]).flat(),
  );
  let asked = 0;
  expect(new BoxTree(boxes).some([-1, 0, 0], [60, 0, 0], () => ++asked > 0)).toBe(true);
  expect(asked).toBe(1);
  expect(new BoxTree(new Float64Array()).some([0, 0, 0], [1, 0, 0], () => true)).toBe(false);
});
