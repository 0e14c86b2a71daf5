import type { RunResult } from '../run';

/** A part of a run, from one mark to the next. */
export interface RunPart {
  /** The same for the same part in any run of the course. */
  readonly key: string;
  readonly name: string;
  /** When it ended, s since the start. */
  readonly at: number;
  /** How long it took, s. */
  readonly time: number;
}

/** The parts of a run from mark to mark in the order they were come to; the goal's only where it was reached. */
export function partsOf({ splits, finished, time, rounds }: RunResult): RunPart[] {
  const marks = splits.map(({ piece, round, number, time: at }) => ({
    key: `${piece} ${round}`,
    name: rounds.length > 0 ? `Round ${round + 1}, cairn ${number}` : `Cairn ${number}`,
    at,
  }));
  if (finished) marks.push({ key: 'goal', name: 'Lantern', at: time });
  return marks.map((mark, i) => ({ ...mark, time: mark.at - (i === 0 ? 0 : marks[i - 1].at) }));
}

/** The best of each part over some runs, s. */
export function bestParts(runs: readonly (readonly RunPart[])[]): ReadonlyMap<string, number> {
  const best = new Map<string, number>();
  for (const parts of runs) {
    for (const { key, time } of parts) {
      if (time < (best.get(key) ?? Infinity)) best.set(key, time);
    }
  }
  return best;
}

/**
 * The sum of the best parts along a finished run's marks, s: what would be run if each part went as well as it
 * ever did. Null where one of them was never run.
 */
export function sumOfBest(
  along: readonly RunPart[],
  best: ReadonlyMap<string, number>,
): number | null {
  let sum = 0;
  for (const { key } of along) {
    const time = best.get(key);
    if (time === undefined) return null;
    sum += time;
  }
  return sum;
}
