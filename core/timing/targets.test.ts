import fc from 'fast-check';
import { proposedPars, proposedTargets, unmetTargets } from './targets';

const time = fc.double({ min: 0.5, max: 3000, noNaN: true });
const falls = fc.double({ min: 0, max: 1e6, noNaN: true });

test('whatever the proof took, its own run meets all that is proposed, in their order', () => {
  fc.assert(
    fc.property(time, falls, (seconds, expected) => {
      const targets = proposedTargets(seconds, expected);
      expect(unmetTargets(targets, seconds)).toEqual([]);
      expect(targets.swift).toBeLessThanOrEqual(targets.brisk);
      expect(targets.brisk).toBeLessThanOrEqual(targets.steady);
      for (const one of [targets.steady, targets.brisk, targets.swift])
        expect((2 * one) % 1).toBe(0);
    }),
  );
});

test('more falls to expect leave more time to be steady, and none the others', () => {
  fc.assert(
    fc.property(time, falls, falls, (seconds, a, b) => {
      const [few, many] = [Math.min(a, b), Math.max(a, b)].map((n) => proposedTargets(seconds, n));
      expect(many.steady).toBeGreaterThanOrEqual(few.steady);
      expect([many.brisk, many.swift]).toEqual([few.brisk, few.swift]);
    }),
  );
  expect(proposedTargets(20, 0)).toEqual({ steady: 30, brisk: 24, swift: 20.5 });
  expect(proposedTargets(20, 2).steady).toBe(40);
  expect(proposedTargets(20, 1000).steady).toBe(60);
});

test('a target that a run is slower than is not met', () => {
  const targets = { steady: 60, brisk: 45, swift: 30 };
  expect(unmetTargets(targets, 30)).toEqual([]);
  expect(unmetTargets(targets, 30.001)).toEqual(['swift']);
  expect(unmetTargets(targets, 61)).toEqual(['steady', 'brisk', 'swift']);
});

test('a par is never under what the proof took, and grows with it', () => {
  const pars = proposedPars([0, 1, 2, 3, 4, 6, 500].map((strokes) => ({ strokes })));
  expect(pars).toEqual([1, 1, 2, 4, 5, 8, 99]);
});
