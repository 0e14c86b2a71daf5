import fc from 'fast-check';
import type { ShapePart } from '@/core/course';
import { frameOf, knobAt, pixelOn, placeOn, type Stretch } from './boardFrame';

jest.mock('../../../scene', () => ({ shapeSolid: () => ({ points: [] }) }));

const PICTURE = [
  [
    [0, 0],
    [2, 0],
    [2, 1],
    [0, 1],
  ],
] as [number, number][][];
const FRAME = frameOf(PICTURE, 390, 400);
const PARTS = [
  { kind: 'ball', at: [0.5, 0.5, 0], radius: 0.2 },
  {
    kind: 'outline',
    points: [
      [0, 0],
      [2, 0],
      [0.5, 0.5],
    ],
  },
] as ShapePart[];

test('the picture lies in the middle of the board with room about it', () => {
  expect(pixelOn(FRAME, [1, 0.5])).toEqual([195, 200]);
  const [left] = pixelOn(FRAME, [0, 0]);
  const [right] = pixelOn(FRAME, [2, 0]);
  expect(left).toBeGreaterThan(30);
  expect(right).toBeLessThan(360);
});

test('the place a pixel points at is seen at that pixel, to a centimetre of the piece', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 390 }),
      fc.integer({ min: 0, max: 400 }),
      fc.double({ min: 0.2, max: 5, noNaN: true }),
      fc.double({ min: 0.2, max: 5, noNaN: true }),
      (x, y, kx, ky) => {
        const k: Stretch = [kx, ky, 1];
        const [u, v] = placeOn(FRAME, k, [x, y]);
        const [px, py] = pixelOn(FRAME, [u * kx, v * ky]);
        expect(Math.abs(px - x)).toBeLessThanOrEqual(0.005 * FRAME.scale + 1e-6);
        expect(Math.abs(py - y)).toBeLessThanOrEqual(0.005 * FRAME.scale + 1e-6);
      },
    ),
  );
});

test('of two knobs in one place the one of the held part is taken', () => {
  const at = pixelOn(FRAME, [0.5, 0.5]);
  expect(knobAt(PARTS, FRAME, [1, 1, 1], at, 0)).toEqual({ part: 0, point: 0 });
  expect(knobAt(PARTS, FRAME, [1, 1, 1], at, 1)).toEqual({ part: 1, point: 2 });
});

test('knobs are taken where they are seen on a stretched piece, and not from far off', () => {
  const k: Stretch = [0.5, 1, 1];
  expect(knobAt(PARTS, FRAME, k, pixelOn(FRAME, [1, 0]), 1)).toEqual({ part: 1, point: 1 });
  const [x, y] = pixelOn(FRAME, [1, 0]);
  expect(knobAt(PARTS, FRAME, k, [x + 30, y + 30], 1)).toBeNull();
});
