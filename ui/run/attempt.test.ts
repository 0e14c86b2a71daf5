import fc from 'fast-check';
import { attemptStep, firstAttempt, isHeld, type Attempt, type AttemptEvent } from './attempt';
import type { Finished } from './finish/finished';

const FREE = { counted: false, choice: false };
const FINISHED = { fromStart: true, aided: false } as Finished;
const after = (rules: typeof FREE, ...events: AttemptEvent[]): Attempt =>
  events.reduce(attemptStep(rules), firstAttempt(rules));

test('a run begins at once where nothing is asked first', () => {
  expect(isHeld(firstAttempt(FREE))).toBe(false);
});

test('a counted course is held until the count is over, in each attempt anew', () => {
  const rules = { ...FREE, counted: true };
  expect(isHeld(firstAttempt(rules))).toBe(true);
  const running = after(rules, { do: 'counted' });
  expect(isHeld(running)).toBe(false);
  expect(attemptStep(rules)(running, { do: 'again' }).counting).toBe(true);
});

test('where the start is the player’s to say, the first attempt waits for it and is not begun twice', () => {
  const rules = { ...FREE, choice: true };
  const begun = after(rules, { do: 'start', start: 1 }, { do: 'begin', begun: false });
  expect(begun).toMatchObject({ start: 1, number: 0, choosing: false });
  expect(isHeld(begun)).toBe(false);
});

test('another start chosen in a pause begins another attempt there', () => {
  const rules = { ...FREE, choice: true };
  const again = after(
    rules,
    { do: 'begin', begun: false },
    { do: 'pause' },
    { do: 'ask-start' },
    { do: 'start', start: 2 },
    { do: 'begin', begun: true },
  );
  expect(again).toMatchObject({ start: 2, number: 1, paused: false, choosing: false });
});

test('after the goal there is nothing to pause', () => {
  const done = after(FREE, { do: 'done', finished: FINISHED }, { do: 'toggle-pause' });
  expect(done.paused).toBe(false);
  expect(done.done).toBe(FINISHED);
});

test('a pause is kept while it is counted in, and gone on from', () => {
  const rules = { ...FREE, counted: true };
  const paused = after(rules, { do: 'toggle-pause' }, { do: 'counted' });
  expect(isHeld(paused)).toBe(true);
  expect(isHeld(attemptStep(rules)(paused, { do: 'go-on' }))).toBe(false);
});

const event: fc.Arbitrary<AttemptEvent> = fc.oneof(
  fc.record({
    do: fc.constantFrom(
      'toggle-pause' as const,
      'pause' as const,
      'go-on' as const,
      'counted' as const,
      'ask-start' as const,
    ),
  }),
  fc.record({ do: fc.constant('start' as const), start: fc.nat(3) }),
  fc.record({ do: fc.constant('ended' as const), why: fc.constantFrom('lost', 'time-up') }),
  fc.record({ do: fc.constant('done' as const), finished: fc.constant(FINISHED) }),
) as fc.Arbitrary<AttemptEvent>;

test('whatever happened, once more is a fresh attempt at the chosen start', () => {
  fc.assert(
    fc.property(fc.array(event), fc.boolean(), (events, counted) => {
      const rules = { counted, choice: false };
      const before = after(rules, ...events);
      expect(attemptStep(rules)(before, { do: 'again' })).toEqual({
        ...firstAttempt(rules),
        number: before.number + 1,
        start: before.start,
      });
    }),
  );
});

test('going tick by tick holds the clock until it goes on', () => {
  const step = attemptStep({ counted: false, choice: false });
  const stepping = step(firstAttempt({ counted: false, choice: false }), { do: 'step' });
  expect([isHeld(stepping), stepping.paused]).toEqual([true, false]);
  expect(isHeld(step(stepping, { do: 'go-on' }))).toBe(false);
  expect(isHeld(step(stepping, { do: 'again' }))).toBe(false);
});

test('out of the choice of a place one comes back to the pause, by the key too', () => {
  const step = attemptStep({ counted: false, choice: false });
  const paused = step(firstAttempt({ counted: false, choice: false }), { do: 'pause' });
  const placing = step(paused, { do: 'ask-place' });
  expect(placing.placing).toBe(true);
  expect(step(placing, { do: 'toggle-pause' })).toEqual(paused);
  expect(step(placing, { do: 'place-kept' })).toEqual(paused);
  expect(step(placing, { do: 'again' })).toMatchObject({
    placing: false,
    paused: false,
    number: 1,
  });
});
