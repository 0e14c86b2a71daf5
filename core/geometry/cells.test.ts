import fc from 'fast-check';
import { CellLists, Cells } from './cells';

const coordinate = fc.double({ min: -500, max: 500, noNaN: true });
const place = fc.tuple(coordinate, coordinate, coordinate);

test('a place within a box is in one of the cells the box lies over', () => {
  fc.assert(
    fc.property(place, place, fc.constantFrom(1, 4, 8), fc.boolean(), (p, size, side, flat) => {
      const cells = new Cells(side, flat);
      const [a, b, c] = size.map((v) => Math.abs(v) / 40);
      const over = cells.over(p[0], p[1], p[2], p[0] + a, p[1] + b, p[2] + c);
      fc.pre(over !== null);
      for (const part of [0, 0.3, 0.7, 1]) {
        expect(over).toContain(cells.at(p[0] + part * a, p[1] + part * b, p[2] + part * c));
      }
    }),
  );
});

test('no two cells have one number, on either side of the middle', () => {
  const cells = new Cells(1);
  const seen = new Map<number, string>();
  for (const i of [-32767, -32766, -1, 0, 1, 2, 32766]) {
    for (const j of [-32767, -1, 0, 1, 32766]) {
      for (const k of [-32767, -1, 0, 1, 32766]) {
        const key = cells.at(i, j, k);
        expect(seen.get(key)).toBeUndefined();
        seen.set(key, `${i} ${j} ${k}`);
      }
    }
  }
});

test('over the map height does not matter', () => {
  const flat = new Cells(4, true);
  expect(flat.at(3, -90, 3)).toBe(flat.at(3, 90, 3));
  expect(flat.over(0, -1e6, 0, 3, 1e6, 3)).toHaveLength(1);
});

test('what lies over too many cells is everywhere, and what is far off shares the outermost', () => {
  const cells = new Cells(1);
  expect(cells.over(0, 0, 0, 100, 100, 100)).toBeNull();
  expect(cells.at(1e9, 0, 0)).toBe(cells.at(1e8, 0, 0));
  expect(cells.at(Infinity, 0, 0)).toBe(cells.at(1e8, 0, 0));
});

test('things are listed by their cells in the order they came', () => {
  const lists = new CellLists<string>();
  lists.put(3, 'a');
  lists.put(7, 'b');
  lists.put(3, 'c');
  expect(lists.in(3)).toEqual(['a', 'c']);
  expect(lists.in(4)).toEqual([]);
  expect([...lists.keys()].sort()).toEqual([3, 7]);
});
