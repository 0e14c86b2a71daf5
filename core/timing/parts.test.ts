import fc from 'fast-check';
import type { RunResult } from '../run';
import { bestParts, partsOf, sumOfBest, type RunPart } from './parts';

const part = (key: string, time: number): RunPart => ({ key, name: key, at: 0, time });

/** Something that happened at a time, s. */
const happened = (kind: string, time: number) => ({ kind, time });

test('parts go from mark to mark, laps by their rounds, and end at the lantern', () => {
  const result = {
    finished: true,
    time: 40,
    rounds: [21, 19],
    splits: [
      { piece: 'a', number: 1, round: 0, time: 10 },
      { piece: 'a', number: 1, round: 1, time: 31 },
    ],
    events: [happened('lap', 21), happened('pickup', 25)],
  } as unknown as RunResult;
  expect(partsOf(result)).toEqual([
    { key: 'a 0', name: 'Round 1, cairn 1', at: 10, time: 10 },
    { key: 'lap 1', name: 'Round 1', at: 21, time: 11 },
    { key: 'a 1', name: 'Round 2, cairn 1', at: 31, time: 10 },
    { key: 'goal', name: 'Lantern', at: 40, time: 9 },
  ]);
  expect(partsOf({ ...result, finished: false })).toHaveLength(3);
});

test('legs are parts; what is gathered is where there is nothing else', () => {
  const bare = { finished: true, time: 30, rounds: [], splits: [] };
  const names = (...events: object[]) =>
    partsOf({ ...bare, events } as unknown as RunResult).map(({ name, time }) => [name, time]);
  expect(names(happened('leg', 12), happened('pickup', 5))).toEqual([
    ['Leg 1', 12],
    ['Lantern', 18],
  ]);
  expect(names(happened('pickup', 4), happened('jump', 6), happened('pickup', 11))).toEqual([
    ['Gathered 1', 4],
    ['Gathered 2', 7],
    ['Lantern', 19],
  ]);
});

test('a part that was never run has no best sum', () => {
  const best = bestParts([[part('a', 3)]]);
  expect(sumOfBest([part('a', 5), part('goal', 2)], best)).toBeNull();
});

test('the sum of the best parts is no longer than any run, and as long as the only one', () => {
  const run = fc.array(fc.integer({ min: 1, max: 900 }), { minLength: 3, maxLength: 3 });
  fc.assert(
    fc.property(fc.array(run, { minLength: 1, maxLength: 8 }), (times) => {
      const runs = times.map((all) => all.map((time, i) => part(String(i), time)));
      const sum = sumOfBest(runs[0], bestParts(runs))!;
      for (const all of times) expect(sum).toBeLessThanOrEqual(all.reduce((a, b) => a + b, 0));
      expect(sumOfBest(runs[0], bestParts(runs.slice(0, 1)))).toBe(
        times[0].reduce((a, b) => a + b, 0),
      );
    }),
  );
});
