import fc from 'fast-check';
import { courseOf, floor } from '../testing';
import { CORE_VERSION, courseHash, firstTicks, replay, type Run } from '..';

const course = courseOf(floor(-40, 40));
const runs = fc
  .array(
    fc.tuple(
      fc.integer({ min: 1, max: 50 }),
      fc.integer({ min: -16, max: 16 }),
      fc.constant(0),
      fc.constantFrom(0 as const, 1 as const),
    ),
    { minLength: 1, maxLength: 8 },
  )
  .map((inputs): Run => ({
    format: 'stone-hop-run',
    core: CORE_VERSION,
    course: courseHash(course),
    seed: 4,
    inputs,
    claim: 9,
  }));

test('the first ticks of a run are run as they were in it', () => {
  fc.assert(
    fc.property(runs, fc.integer({ min: 0, max: 420 }), (run, ticks) => {
      const whole = replay(course, run);
      const part = firstTicks(run, ticks);
      const again = replay(course, part);
      expect(again.ticks).toBe(Math.min(ticks, whole.ticks));
      expect([...again.path]).toEqual([...whole.path.subarray(0, again.path.length)]);
      expect(part.claim).toBeCloseTo(again.ticks / 120, 9);
    }),
    { numRuns: 30 },
  );
});
