import fc from 'fast-check';
import { anyRun, runAny } from './fuzz.testing';

// `npm run bench` runs two thousand of these.
test('whatever is set in a course, its run stays in numbers and within bounds', () => {
  fc.assert(
    fc.property(anyRun, (any) => runAny(any, 900)),
    { numRuns: 120, seed: 77, endOnFailure: true },
  );
});
