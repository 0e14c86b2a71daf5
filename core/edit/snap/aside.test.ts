import fc from 'fast-check';
import { emptyCourse } from '../../course';
import type { Vec3 } from '../../geometry';
import { pieceBounds } from '../../pieces';
import { landingOf, layPieces, type PieceInHand, type SnapSettings } from '..';
import { surfaceAt } from '../lookup/pick';

type Triple = [number, number, number];
const slab = (at: Triple, size: Triple = [6, 0.5, 4]): PieceInHand => ({
  family: 'slab',
  at,
  size,
});
const course = layPieces(emptyCourse('Side', 'side-on'), [
  slab([0, 0, 0]),
  slab([0, 3, 0]),
  { family: 'block', at: [12, 0, 0], size: [4, 4, 4] },
  slab([12, 3.5, 0], [2, 2, 2]),
]);
const settings: SnapSettings = {
  steps: [0.5, 0.5, 0],
  ends: true,
  corners: true,
  surface: true,
  upright: true,
  reach: 0.8,
};
/** Held by its middle at a place, as a finger in the side view holds it. */
const land = (family: string, [x, y, z]: Vec3, change: Partial<SnapSettings> = {}) => {
  const { low, high } = pieceBounds({ id: 'p', family, at: [0, 0, 0] });
  const at: Triple = [x, y - (low[1] + high[1]) / 2, z];
  return landingOf(course, { family, at }, { ...settings, ...change }).piece.at;
};

test('a surface is the top of what a place lies in, else what is below', () => {
  expect(surfaceAt(course, [0, 2, 0])).toBeCloseTo(0.5, 9);
  expect(surfaceAt(course, [0, 0.2, 0])).toBeCloseTo(0.5, 9);
  expect(surfaceAt(course, [0, 0.5, 0])).toBeCloseTo(0.5, 9);
  expect(surfaceAt(course, [0, 3.1, 0])).toBeCloseTo(3.5, 9);
  // Out of the block into the slab that stands in it.
  expect(surfaceAt(course, [12, 1, 0])).toBeCloseTo(5.5, 9);
  expect(surfaceAt(course, [13.5, 1, 0])).toBeCloseTo(4, 9);
  expect(surfaceAt(course, [30, 5, 0])).toBeNull();
  expect(surfaceAt(course, [0, -1, 0])).toBeNull();
});

test.each(['start', 'block', 'lantern', 'pine', 'crate', 'cairn', 'shell'])(
  'a %s stands on the platform that is touched, wherever it is touched, and between two on the lower',
  (family) => {
    const foot = pieceBounds({ id: 'p', family, at: [0, 0, 0] }).low[1];
    for (const y of [0.05, 0.25, 0.5, 0.7, 0.95]) {
      expect(land(family, [0, y, 0])[1] + foot).toBeCloseTo(0.5, 6);
    }
    expect(land(family, [12, 1, 0])[1] + foot).toBeCloseTo(5.5, 6);
  },
);

test('high above a platform a piece hangs where it is held, and so without surfaces', () => {
  expect(Math.abs(land('crate', [20, 7, 0])[1] + 0.5 - 7)).toBeLessThan(0.3);
  expect(Math.abs(land('crate', [12, 8, 0])[1] + 0.5 - 8)).toBeLessThan(0.3);
  expect(land('crate', [0, 0.5, 0], { surface: false, corners: false })[1]).toBeLessThan(0.5);
});

test('whatever takes hold from the side, a piece keeps its depth', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('crate', 'block', 'beam', 'start', 'pine', 'slab'),
      fc.double({ min: -5, max: 16, noNaN: true }),
      fc.double({ min: -1, max: 7, noNaN: true }),
      fc.constantFrom(0, -0.85, 1.2, 3),
      (family, x, y, z) => expect(land(family, [x, y, z])[2]).toBeCloseTo(z, 9),
    ),
    { numRuns: 300, seed: 3 },
  );
});
