import fc from 'fast-check';
import { emptyCourse } from '../../course';
import { pieceBounds } from '../../pieces';
import { alignPieces, spreadPieces } from './align';
import { layPieces } from '../pieces/lay';

const place = fc.integer({ min: -200, max: 200 }).map((v) => v / 8);
const extent = fc.integer({ min: 1, max: 40 }).map((v) => v / 8);
const pieces = fc.array(
  fc.record({
    family: fc.constantFrom('slab', 'block', 'crate'),
    at: fc.tuple(place, place, place),
    size: fc.tuple(extent, extent, extent),
  }),
  { minLength: 1, maxLength: 12 },
);
const axes = fc.constantFrom(0 as const, 1 as const, 2 as const);

test('lined up, all have the same side or middle, and nothing but that axis has changed', () => {
  fc.assert(
    fc.property(pieces, axes, fc.constantFrom('low', 'middle', 'high'), (told, axis, by) => {
      const course = layPieces(emptyCourse('Row'), told);
      const choice = new Set(course.pieces.map(({ id }) => id));
      const after = alignPieces(course, choice, axis, by as 'low');
      const sides = after.pieces.map((piece) => {
        const { low, high } = pieceBounds(piece);
        return by === 'low' ? low[axis] : by === 'high' ? high[axis] : (low[axis] + high[axis]) / 2;
      });
      for (const side of sides) expect(side).toBeCloseTo(sides[0], 5);
      after.pieces.forEach(({ at }, i) => {
        for (const other of [0, 1, 2]) {
          if (other !== axis) expect(at[other]).toBe(course.pieces[i].at[other]);
        }
      });
    }),
  );
});

test('spread, the gaps are all alike and both ends stay', () => {
  fc.assert(
    fc.property(pieces, axes, (told, axis) => {
      const course = layPieces(emptyCourse('Row'), told);
      const choice = new Set(course.pieces.map(({ id }) => id));
      const after = spreadPieces(course, choice, axis);
      if (told.length < 3) {
        expect(after).toBe(course);
        return;
      }
      const middleOf = ({ low, high }: ReturnType<typeof pieceBounds>) =>
        (low[axis] + high[axis]) / 2;
      // In the order they stood in.
      const order = course.pieces
        .map((piece, i) => ({ i, at: middleOf(pieceBounds(piece)) }))
        .sort((a, b) => a.at - b.at);
      const row = order.map(({ i }) => pieceBounds(after.pieces[i]));
      const gaps = row.slice(1).map(({ low }, i) => low[axis] - row[i].high[axis]);
      const steps = row.slice(1).map((box, i) => middleOf(box) - middleOf(row[i]));
      const [first, last] = [order[0], order[order.length - 1]];
      expect(middleOf(row[0])).toBeCloseTo(first.at, 5);
      expect(middleOf(row[row.length - 1])).toBeCloseTo(last.at, 5);
      const even = (all: readonly number[]) => all.every((v) => Math.abs(v - all[0]) < 1e-4);
      expect(even(gaps) || even(steps)).toBe(true);
    }),
  );
});
