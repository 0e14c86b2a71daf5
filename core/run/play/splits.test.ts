import fc from 'fast-check';
import type { RunEvent } from '../state';
import { roundsOf, splitsOf } from './splits';

const happened = (kind: RunEvent['kind'], time: number, piece?: string): RunEvent => ({
  ...{ kind, time, tick: Math.round(time * 120), x: 0, y: 0, z: 0 },
  ...(piece ? { piece } : {}),
});
const numberOf = (piece: string) => Number(piece.slice(1));

test('a checkpoint passed in every round has a split in each', () => {
  const events = [
    happened('checkpoint', 3, 'p1'),
    happened('lap', 5),
    happened('checkpoint', 7.5, 'p1'),
    happened('goal', 10),
  ];
  expect(splitsOf(events, numberOf)).toEqual([
    { piece: 'p1', number: 1, round: 0, time: 3 },
    { piece: 'p1', number: 1, round: 1, time: 7.5 },
  ]);
  expect(roundsOf(events)).toEqual([5, 5]);
});

test('a course without laps has no rounds', () => {
  expect(roundsOf([happened('checkpoint', 3, 'p1'), happened('goal', 10)])).toEqual([]);
});

test('the rounds of a finished run add up to its time, whatever else happened', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.tuple(
          fc.constantFrom('lap', 'checkpoint', 'fall'),
          fc.double({ min: 0.1, max: 9, noNaN: true }),
        ),
        { minLength: 1, maxLength: 40 },
      ),
      (told) => {
        let time = 0;
        const events = told.map(([kind, gap]) => happened(kind as 'lap', (time += gap), 'p1'));
        events.push(happened('goal', (time += 1)));
        const rounds = roundsOf(events);
        const laps = told.filter(([kind]) => kind === 'lap').length;
        expect(rounds).toHaveLength(laps === 0 ? 0 : laps + 1);
        if (laps > 0) expect(rounds.reduce((a, b) => a + b, 0)).toBeCloseTo(time, 6);
        const rising = splitsOf(events, numberOf).map(({ round }) => round);
        expect(rising).toEqual([...rising].sort((a, b) => a - b));
      },
    ),
  );
});
