import { Bucket } from './bucket';

test('each may do so much in a stretch of time, and then again', () => {
  let now = 1000;
  const bucket = new Bucket(3, 60_000, () => now);
  expect([1, 2, 3, 4].map(() => bucket.take('a'))).toEqual([true, true, true, false]);
  expect(bucket.take('b', 3)).toBe(true);
  expect(bucket.take('b')).toBe(false);
  expect(bucket.seconds).toBe(60);
  now += 59_999;
  expect(bucket.take('a')).toBe(false);
  expect(bucket.seconds).toBe(1);
  now += 1;
  expect(bucket.take('a')).toBe(true);
});

test('what is too much at once counts for nothing', () => {
  const bucket = new Bucket(10, 1000, () => 0);
  expect(bucket.take('a', 11)).toBe(false);
  expect(bucket.take('a', 10)).toBe(true);
});

test('very many keys do not stay in memory', () => {
  const bucket = new Bucket(1, 1e9, () => 0);
  for (let i = 0; i < 250_000; i++) bucket.take(`address ${i}`);
  const { spent } = bucket as unknown as { spent: Map<string, number> };
  expect(spent.size).toBeLessThanOrEqual(100_001);
});
