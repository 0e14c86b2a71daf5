import { ribbonArrays } from './ribbonArrays';

/** A line of given places along x with a speed each; null breaks it. */
const line = (...at: (readonly [number, number] | null)[]) => ({
  points: Float32Array.from(at.flatMap((p) => (p ? [p[0], 0, 0, p[1]] : [NaN, NaN, NaN, NaN]))),
  top: 4,
});
const faces = (of: Parameters<typeof ribbonArrays>[0]) => ribbonArrays(of).faces.length / 3;

test('two faces for each piece of line, none over a break', () => {
  expect(faces(line([0, 1], [1, 1], [2, 1]))).toBe(4);
  expect(faces(line([0, 1], [1, 1], null, [9, 1], [10, 1]))).toBe(4);
  expect(faces(line([0, 1]))).toBe(0);
});

test('each point stands twice, a little over where the foot was, and knows the way on', () => {
  const { place, ahead, side } = ribbonArrays(line([0, 1], [2, 1], [5, 1]));
  expect(place.length / 3).toBe(6);
  expect([place[3 * 2], place[3 * 3]]).toEqual([2, 2]);
  expect(place[3 * 2 + 1]).toBeCloseTo(0.12, 6);
  expect([ahead[0], ahead[3 * 2]]).toEqual([2, 3]);
  // At its end along the piece that led there.
  expect(ahead[3 * 4]).toBe(3);
  expect([side[0], side[1]]).toEqual([-1, 1]);
});

test('the faster, the darker; past its top speed no darker still', () => {
  const { colour } = ribbonArrays(line([0, 0], [1, 2], [2, 4], [3, 9]));
  const light = (i: number) => colour[6 * i] + colour[6 * i + 1] + colour[6 * i + 2];
  expect(light(0)).toBeGreaterThan(light(1));
  expect(light(1)).toBeGreaterThan(light(2));
  expect(light(3)).toBeCloseTo(light(2), 6);
  const still = ribbonArrays({ ...line([0, 0], [1, 0]), top: 0 });
  expect(still.colour.every(Number.isFinite)).toBe(true);
});
