import fc from 'fast-check';
import { cosDeg, multiply, rotate, sinDeg, turnMatrix, type Vec3 } from '.';

test('sine and cosine agree with the engine to 1e-15 and are exact at quarter turns', () => {
  fc.assert(
    fc.property(fc.integer({ min: -1_000_000, max: 1_000_000 }), (n) => {
      const degrees = n / 1000;
      const turn = (degrees % 360) * (Math.PI / 180);
      return (
        Math.abs(sinDeg(degrees) - Math.sin(turn)) < 2e-15 &&
        Math.abs(cosDeg(degrees) - Math.cos(turn)) < 2e-15
      );
    }),
    { seed: 5 },
  );
  expect([0, 90, 180, 270, 360, -90].map((d) => sinDeg(d) + 0)).toEqual([0, 1, 0, -1, 0, -1]);
});

test('turns keep lengths, and the y angle is the heading whatever the tilt', () => {
  const angle = fc.integer({ min: -360, max: 360 });
  fc.assert(
    fc.property(angle, angle, angle, (x, y, z) => {
      const turned = rotate(turnMatrix([x, y, z]), [1, 2, 3]);
      const inSteps = rotate(multiply(turnMatrix([0, y, 0]), turnMatrix([x, 0, z])), [1, 2, 3]);
      const size = Math.hypot(...turned);
      return (
        Math.abs(size - Math.sqrt(14)) < 1e-12 &&
        turned.every((v: number, i) => Math.abs(v - inSteps[i as 0 | 1 | 2]) < 1e-12)
      );
    }),
    { seed: 6 },
  );
  const ahead: Vec3 = rotate(turnMatrix([0, 90, 0]), [1, 0, 0]);
  expect(ahead.map((v) => v + 0)).toEqual([0, 0, -1]);
});
