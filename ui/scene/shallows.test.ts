import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { shallowsOf } from './shallows';

const laid = (...at: [number, number, number][]) =>
  layPieces(
    emptyCourse('Shallows', 'free'),
    at.map((place) => ({
      family: 'block',
      at: place,
      size: [2, 3, 2] as [number, number, number],
    })),
  ).pieces;

/** How shallow the water is at a place, 0 to 1. */
function at(
  { box: [x0, z0, w, d], cells }: NonNullable<ReturnType<typeof shallowsOf>>,
  x: number,
  z: number,
) {
  const side = Math.sqrt(cells.length);
  const i = Math.floor(((x - x0) / w) * side);
  const k = Math.floor(((z - z0) / d) * side);
  return cells[k * side + i] / 255;
}

test('the water is shallow about what stands in it, and ever deeper away from it', () => {
  const found = shallowsOf(laid([0, -2, 0], [12, -2, 0]), 0)!;
  expect(at(found, 0, 0)).toBe(1);
  expect(at(found, 12, 0)).toBe(1);
  const row = [1.2, 2, 3, 4].map((x) => at(found, x, 0));
  expect(row).toEqual([...row].sort((a, b) => b - a));
  expect(at(found, 6, 0)).toBeLessThan(0.1);
});

test('what hangs in the air, or lies wholly under water, makes no shallows', () => {
  expect(shallowsOf(laid([0, 5, 0]), 0)).toBeNull();
  expect(shallowsOf(laid([0, -9, 0]), 0)).toBeNull();
  expect(shallowsOf([], 0)).toBeNull();
});
