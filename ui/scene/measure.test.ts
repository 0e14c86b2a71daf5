import fc from 'fast-check';
import { verdictOf } from './measure';

const all = (times: readonly number[]) => {
  for (let i = 1; i <= times.length; i++) {
    const verdict = verdictOf(times.slice(0, i));
    if (verdict) return { verdict, frames: i };
  }
  return null;
};

test('a device that is hopeless is known by the second frame or the third, one that is quick by the ninth', () => {
  expect(all(Array(12).fill(290))).toEqual({ verdict: 'light', frames: 2 });
  expect(all(Array(12).fill(120))).toEqual({ verdict: 'light', frames: 3 });
  expect(all(Array(12).fill(3))).toEqual({ verdict: 'full', frames: 9 });
  expect(all(Array(12).fill(30))).toEqual({ verdict: 'light', frames: 8 });
});

test('that the first frame takes long, or another one by itself, says nothing', () => {
  expect(all([900, 3, 3, 120, 3, 3, 3, 3, 3, 3, 3, 3])).toEqual({ verdict: 'full', frames: 9 });
});

test('there is always a verdict, and but for hopeless ones it is that of the median', () => {
  const frame = fc.double({ min: 0, max: 87, noNaN: true });
  fc.assert(
    fc.property(fc.array(frame, { minLength: 12, maxLength: 12 }), (times) => {
      const counted = times.slice(4).sort((a, b) => a - b);
      expect(all(times)!.verdict).toBe(counted[4] < 22 ? 'full' : 'light');
    }),
  );
});
