import fc from 'fast-check';
import { KNOB, PAD, padPush } from './padPush';

const MIDDLE = PAD / 2;
const place = fc.record({
  x: fc.integer({ min: -300, max: 450 }),
  y: fc.integer({ min: -300, max: 450 }),
});

test('a resting thumb stands still', () => {
  expect(padPush({ x: MIDDLE + 6, y: MIDDLE - 6 }, false)).toMatchObject({ right: 0, forward: 0 });
});

test('up on the pad is forward, right is right, and the knob stays within the pad', () => {
  const up = padPush({ x: MIDDLE, y: -500 }, false);
  expect(up.forward).toBeCloseTo(1);
  expect(up.right).toBeCloseTo(0);
  expect(up.knob.y).toBeCloseTo(-(PAD - KNOB) / 2);
  expect(padPush({ x: 500, y: MIDDLE }, false).right).toBeCloseTo(1);
});

test('half of the knob’s way pushes less than all of it, and as much to every side', () => {
  const reach = ((PAD - KNOB) / 2) * 0.4;
  const right = padPush({ x: MIDDLE + reach, y: MIDDLE }, false).right;
  expect(right).toBeCloseTo(0.5);
  expect(padPush({ x: MIDDLE, y: MIDDLE + reach }, false).forward).toBeCloseTo(-0.5);
});

test('wherever the thumb goes, no more is pushed than fully, and never against it', () => {
  fc.assert(
    fc.property(place, fc.boolean(), (at, level) => {
      const { right, forward, knob } = padPush(at, level);
      expect(Math.hypot(right, forward)).toBeLessThanOrEqual(1 + 1e-9);
      expect(Math.hypot(knob.x, knob.y)).toBeLessThanOrEqual((PAD - KNOB) / 2 + 1e-9);
      expect(right * (at.x - MIDDLE)).toBeGreaterThanOrEqual(0);
      expect(level ? forward : forward * (MIDDLE - at.y)).toBeGreaterThanOrEqual(0);
      if (level) expect(forward).toBe(0);
    }),
  );
});
