import fc from 'fast-check';
import {
  add,
  boundsOf,
  cross,
  distance,
  dot,
  length,
  lerp,
  mapVec3,
  matrixOf,
  multiply,
  normalize,
  quaternionOf,
  rotate,
  scale,
  seeded,
  shortestAngle,
  sub,
  transpose,
  turnMatrix,
  unionBounds,
  type Vec3,
} from '.';

const number = fc.integer({ min: -5000, max: 5000 }).map((n) => n / 100);
const vector = fc.tuple(number, number, number) as fc.Arbitrary<Vec3>;
const degrees = fc.integer({ min: -720, max: 720 });
const turn = fc.tuple(degrees, degrees, degrees).map((t) => turnMatrix(t));
const close = (a: Vec3, b: Vec3, within = 1e-9) => expect(distance(a, b)).toBeLessThan(within);

test('vectors: sums, products and lengths are what they are called', () => {
  fc.assert(
    fc.property(vector, vector, number, (a, b, k) => {
      close(sub(add(a, b), b), a);
      close(
        scale(a, k),
        mapVec3((i) => a[i] * k),
      );
      expect(dot(cross(a, b), a)).toBeCloseTo(0, 5);
      expect(dot(cross(a, b), b)).toBeCloseTo(0, 5);
      expect(length(a) ** 2).toBeCloseTo(dot(a, a), 5);
      expect(distance(a, b)).toBeLessThanOrEqual(length(a) + length(b) + 1e-9);
      close(lerp(a, b, 0), a);
      close(lerp(a, b, 1), b, 1e-7);
    }),
  );
});

test('a direction has length one, and nothing stays nothing', () => {
  fc.assert(
    fc.property(vector, (a) => {
      if (length(a) < 1e-6) return;
      expect(length(normalize(a))).toBeCloseTo(1, 12);
      expect(dot(normalize(a), a)).toBeCloseTo(length(a), 9);
    }),
  );
  expect(normalize([0, 0, 0])).toEqual([0, 0, 0]);
});

test('a turn keeps lengths and hands, and its transpose takes it back', () => {
  fc.assert(
    fc.property(turn, vector, vector, (m, a, b) => {
      expect(length(rotate(m, a))).toBeCloseTo(length(a), 9);
      close(rotate(m, cross(a, b)), cross(rotate(m, a), rotate(m, b)), 1e-6);
      close(rotate(transpose(m), rotate(m, a)), a);
    }),
  );
});

test('one turn after another is their product', () => {
  fc.assert(
    fc.property(turn, turn, vector, (m, n, a) => {
      close(rotate(multiply(m, n), a), rotate(m, rotate(n, a)));
    }),
  );
});

test('a turn and its quaternion say the same', () => {
  fc.assert(
    fc.property(turn, vector, (m, a) => {
      close(rotate(matrixOf(quaternionOf(m)), a), rotate(m, a), 1e-7);
    }),
  );
});

test('the box about places holds them, touches them, and grows with more', () => {
  const places = fc.array(vector, { minLength: 1, maxLength: 12 });
  fc.assert(
    fc.property(places, places, (a, b) => {
      const box = boundsOf(a);
      for (let axis = 0; axis < 3; axis++) {
        expect(box.low[axis]).toBe(Math.min(...a.map((p) => p[axis])));
        expect(box.high[axis]).toBe(Math.max(...a.map((p) => p[axis])));
      }
      expect(unionBounds([box, boundsOf(b)])).toEqual(boundsOf([...a, ...b]));
    }),
  );
});

test('the shorter way round is no more than half, and leads to the same', () => {
  fc.assert(
    fc.property(fc.integer({ min: -4000, max: 4000 }), (angle) => {
      const shorter = shortestAngle(angle);
      expect(shorter).toBeGreaterThanOrEqual(-180);
      expect(shorter).toBeLessThan(180);
      expect((((angle - shorter) % 360) + 360) % 360).toBe(0);
    }),
  );
  expect([270, -270, 540, 359].map(shortestAngle)).toEqual([-90, 90, -180, -1]);
});

test('a seed gives the same numbers each time, spread over all there is', () => {
  const [one, again, other] = [seeded(7), seeded(7), seeded(8)].map((next) =>
    Array.from({ length: 2000 }, next),
  );
  expect(one).toEqual(again);
  expect(one).not.toEqual(other);
  for (let tenth = 0; tenth < 10; tenth++) {
    const share = one.filter((v) => Math.floor(v * 10) === tenth).length;
    expect(Math.abs(share - 200)).toBeLessThan(60);
  }
  expect(Math.min(...one)).toBeGreaterThanOrEqual(0);
  expect(Math.max(...one)).toBeLessThan(1);
});
