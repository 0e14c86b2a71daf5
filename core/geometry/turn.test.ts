import fc from 'fast-check';
import { cosDeg, degreesOf, shortestAngle, sinDeg, turnedHeading, turnMatrix } from '.';

test('an angle is told from its sine and cosine', () => {
  fc.assert(
    fc.property(fc.double({ min: -179.999, max: 179.999, noNaN: true }), (angle) => {
      expect(Math.abs(degreesOf(3 * sinDeg(angle), 3 * cosDeg(angle)) - angle)).toBeLessThan(1e-6);
    }),
  );
  expect(degreesOf(0, -1)).toBeCloseTo(180, 6);
});

test('a heading goes along with a turn about y', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 359 }),
      fc.integer({ min: -180, max: 180 }),
      (heading, by) => {
        const turned = turnedHeading(heading, turnMatrix([0, by, 0]));
        expect(Math.abs(shortestAngle(turned - heading - by))).toBeLessThan(1e-6);
      },
    ),
  );
});
