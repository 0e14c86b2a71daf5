import fc from 'fast-check';
import { cases } from '../deep.testing';
import {
  cosDeg,
  cubicAt,
  frameAt,
  lerp,
  sinDeg,
  sweepAlong,
  type Section,
  type Swept,
  type Vec3,
} from '../geometry';
import { newClearance, newTouch } from '.';
import { sweptBody } from './sweptBody';
import { clearanceSwept, sweepSwept } from './sweptSweep';

/** Stretches of banked, rising bends and of loops, wide and narrow, at random. */
const stretch = fc
  .record({
    radius: fc.double({ min: 3, max: 30, noNaN: true }),
    turn: fc.integer({ min: -180, max: 180 }).filter((v) => Math.abs(v) > 10),
    pitch: fc.constantFrom(0, 0, 360),
    bank: fc.integer({ min: -45, max: 45 }),
    climb: fc.double({ min: -3, max: 3, noNaN: true }),
    wide: fc.double({ min: 0.2, max: 5, noNaN: true }),
    pick: fc.double({ min: 0, max: 0.999, noNaN: true }),
  })
  .map(({ radius, turn, pitch, bank, climb, wide, pick }): Swept => {
    const section: Section = [
      [-wide / 2, 0],
      [wide / 2, 0],
      [wide / 2, 0.3],
      [-wide / 2, 0.3],
    ];
    const side = Math.sign(turn);
    // Rims rise and fall along the way no more steeply than they do anywhere.
    const length = (radius * Math.abs(turn) * Math.PI) / 180;
    const most = (0.6 * length * 180) / (wide * Math.PI);
    const lean = Math.max(-most, Math.min(most, bank));
    const frame = (k: number) =>
      pitch > 0
        ? frameAt([radius * sinDeg(360 * k), radius * (1 - cosDeg(360 * k)), climb * k], 0, 360 * k)
        : frameAt(
            [side * radius * sinDeg(turn * k), climb * k, side * radius * cosDeg(turn * k)],
            turn * k,
            0,
            lean * k * (2 - k),
          );
    const all = sweepAlong({ frame, section: () => section });
    return all[Math.floor(pick * all.length)].swept!;
  });

/** Distance from a place to the surface of a stretch, by looking closely at it all over. */
function sampled(swept: Swept, [x, y, z]: Vec3): number {
  const far = (p: Vec3) => Math.hypot(p[0] - x, p[1] - y, p[2] - z);
  let least = Infinity;
  swept.forEach((curve, i) => {
    const next = swept[(i + 1) % swept.length];
    const at = (u: number, v: number) => far(lerp(cubicAt(curve, u), cubicAt(next, u), v));
    let [u, v, step] = [0.5, 0.5, 0.5];
    for (let a = 0; a <= 20; a++) {
      for (let b = 0; b <= 20; b++) if (at(a / 20, b / 20) < at(u, v)) [u, v] = [a / 20, b / 20];
    }
    for (step = 0.05; step > 1e-6; step *= 0.7) {
      for (const [du, dv] of [
        [step, 0],
        [-step, 0],
        [0, step],
        [0, -step],
        [step, step],
        [-step, -step],
        [step, -step],
        [-step, step],
      ]) {
        const [p, q] = [Math.min(1, Math.max(0, u + du)), Math.min(1, Math.max(0, v + dv))];
        if (at(p, q) < at(u, v)) [u, v] = [p, q];
      }
    }
    least = Math.min(least, at(u, v));
  });
  return least;
}

/** The greatest curvature that the corners' curves have between a few places of theirs, 1/m, and of the twist. */
const curvatureOf = (swept: Swept): number =>
  Math.max(
    ...swept.map((curve, c) => {
      const next = swept[(c + 1) % swept.length];
      const [a, b, d] = [0, 0.5, 1].map((u) => cubicAt(curve, u));
      const bend = Math.hypot(...a.map((v, i) => v - 2 * b[i] + d[i]));
      const length = Math.hypot(...a.map((v, i) => d[i] - v));
      const wide = Math.hypot(...curve[0].map((v, i) => next[0][i] - v));
      const twist = Math.hypot(
        ...[0, 1, 2].map((i) => next[3][i] - next[0][i] - curve[3][i] + curve[0][i]),
      );
      return (4 * bend) / (length * length) + twist / (length * wide);
    }),
  );

const offset = fc.tuple(
  ...[0, 1, 2].map(() => fc.double({ min: -1.2, max: 1.2, noNaN: true })),
) as unknown as fc.Arbitrary<Vec3>;

/** Some place about a stretch. */
const about = (swept: Swept, u: number, [dx, dy, dz]: Vec3): Vec3 => {
  const [x, y, z] = lerp(cubicAt(swept[2], u), cubicAt(swept[3], u), 0.5 + dz * 0.4);
  return [x + dx, y + dy, z + dz];
};
const part = fc.double({ min: 0, max: 1, noNaN: true });

test('the distance to a stretch is that to its nearest place', () => {
  fc.assert(
    fc.property(stretch, part, offset, (swept, u, by) => {
      const [x, y, z] = about(swept, u, by);
      const { distance } = clearanceSwept(sweptBody(swept), { x, y, z, radius: 0 }, newClearance());
      // Farther off than a face's own radius of curvature there are several nearest places.
      if (distance * curvatureOf(swept) > 0.7) return;
      // Within it the nearest side may be an end, where another stretch goes on.
      if (distance < 0) return;
      const true_ = sampled(swept, [x, y, z]);
      if (distance < true_ - 1e-3) {
        // Over a flat end: nearer than all of its sides.
        expect(true_ - distance).toBeLessThan(0.35);
        return;
      }
      expect(distance).toBeLessThan(true_ + 1e-3);
    }),
    { numRuns: cases(200), seed: 7 },
  );
});

test('a ball that is swept stops where it touches, never later, and is never within before', () => {
  let touched = 0;
  fc.assert(
    fc.property(
      stretch,
      part,
      offset,
      offset,
      fc.double({ min: 0.1, max: 0.6, noNaN: true }),
      (swept, u, by, aim, radius) => {
        const body = sweptBody(swept);
        if (radius * curvatureOf(swept) > 0.7) return;
        const [x, y, z] = about(swept, u, by);
        const to = about(swept, 1 - u, [0.3 * aim[0], 0.3 * aim[1], 0.3 * aim[2]]);
        const way = [1.2 * (to[0] - x), 1.2 * (to[1] - y), 1.2 * (to[2] - z)];
        const ball = { x, y, z, radius, dx: way[0], dy: way[1], dz: way[2] };
        const gapAt = (t: number) =>
          clearanceSwept(
            body,
            { x: x + way[0] * t, y: y + way[1] * t, z: z + way[2] * t, radius },
            newClearance(),
          ).distance;
        if (gapAt(0) <= 0) return;
        const out = newTouch();
        const met = sweepSwept(body, ball, out);
        if (met) {
          touched++;
          expect(Math.abs(gapAt(out.t))).toBeLessThan(1e-6);
          expect(out.nx * way[0] + out.ny * way[1] + out.nz * way[2]).toBeLessThan(0);
          expect(Math.hypot(out.nx, out.ny, out.nz)).toBeCloseTo(1, 9);
        }
        for (let i = 0; i <= 50; i++) expect(gapAt((out.t * i) / 50)).toBeGreaterThan(-1e-6);
      },
    ),
    { numRuns: cases(1500), seed: 11 },
  );
  expect(touched).toBeGreaterThan(cases(200));
});
