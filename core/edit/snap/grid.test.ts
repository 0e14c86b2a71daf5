import fc from 'fast-check';
import { emptyCourse } from '../../course';
import { distance, type Vec3 } from '../../geometry';
import { pieceBounds } from '../../pieces';
import { holdsOf, layPieces, readDial, setDial, snapToGrid, type NumericProperty } from '..';

const metres = fc.double({ min: -500, max: 500, noNaN: true });
const point = fc.tuple(metres, metres, metres);

test('a place on a turned grid stays where it is, and no place moves further than half a cell', () => {
  fc.assert(
    fc.property(
      point,
      point,
      fc.double({ min: 0, max: 360, noNaN: true }),
      fc.constantFrom(0.1, 0.25, 0.5, 1, 3.7),
      (p, origin, turn, step) => {
        const frame = { origin: origin as Vec3, turn };
        const on = snapToGrid(p as Vec3, step, frame);
        expect(distance(on, p as Vec3)).toBeLessThanOrEqual((Math.sqrt(3) * step) / 2 + 1e-5);
        expect(distance(snapToGrid(on, step, frame), on)).toBeLessThan(1e-5);
      },
    ),
  );
});

test('the origin of a grid is on it; along an axis without a step nothing moves', () => {
  const frame = { origin: [0.3, 1.1, -0.7] as Vec3, turn: 30 };
  expect(snapToGrid([0.31, 1.2, -0.71], 0.5, frame)).toEqual([0.3, 1.1, -0.7]);
  expect(snapToGrid([0.31, 1.234, -0.71], [0.5, 0, 0.5], frame)[1]).toBeCloseTo(1.234, 6);
});

const dial = (change: Partial<NumericProperty>): NumericProperty => change as NumericProperty;

test('a place along a piece’s own axes is read and set along them', () => {
  const course = layPieces(emptyCourse('Own', 'free'), [
    { family: 'slab', at: [3, 1, -2], turn: [0, 90, 0], size: [4, 1, 2] },
  ]);
  const choice = new Set(['p1']);
  const along = dial({ kind: 'at', axis: 0, own: true });
  const before = readDial(course.pieces[0], along);
  const after = setDial(course, choice, along, before + 5);
  // Turned by a quarter, its own x is the world's -z.
  expect(after.pieces[0].at[0]).toBeCloseTo(3, 6);
  expect(after.pieces[0].at[2]).toBeCloseTo(-7, 6);
  expect(readDial(after.pieces[0], along)).toBeCloseTo(before + 5, 6);
});

test('a typed size leaves the side where it is that one says, however the piece is turned', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(0 as const, 1 as const, 2 as const),
      fc.constantFrom('low' as const, 'high' as const),
      fc.constantFrom(0, 90, 180, 270),
      fc.double({ min: 0.5, max: 20, noNaN: true }),
      (axis, keeps, heading, size) => {
        const course = layPieces(emptyCourse('Size', 'free'), [
          { family: 'block', at: [2, 1, 3], turn: [0, heading, 0], size: [2, 3, 4] },
        ]);
        const own = (piece: (typeof course.pieces)[number]) => {
          const at = readDial(piece, dial({ kind: 'at', axis, own: true }));
          const extent = (piece.size ?? [2, 2, 2])[axis];
          if (axis === 1) return keeps === 'low' ? at : at + extent;
          return keeps === 'low' ? at - extent / 2 : at + extent / 2;
        };
        const after = setDial(course, new Set(['p1']), dial({ kind: 'size', axis, keeps }), size);
        expect(own(after.pieces[0])).toBeCloseTo(own(course.pieces[0]), 4);
        const { low, high } = pieceBounds(after.pieces[0]);
        expect(high[1] - low[1]).toBeGreaterThan(0);
      },
    ),
  );
});

test('pieces take hold of each other by corners, the middles of edges and of tops', () => {
  const course = layPieces(emptyCourse('Holds', 'free'), [
    { family: 'ashlar', at: [0, 0, 0], size: [2, 1, 4] },
  ]);
  const holds = holdsOf(course.pieces[0]);
  const has = (p: Vec3) => holds.some((hold) => distance(hold, p) < 0.03);
  expect(has([1, 1, 2])).toBe(true);
  expect(has([0, 1, 2])).toBe(true);
  expect(has([1, 1, 0])).toBe(true);
  expect(has([0, 1, 0])).toBe(true);
  expect(has([0.5, 1, 0])).toBe(false);
});
