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

/** A mark of a run: when it was passed, s since the start. */
type RunMark = Omit<RunPart, 'time'>;

/**
 * The parts of a run from mark to mark in the order they were come to: cairns, rounds and legs; where there is none of
 * them what was gathered, in whatever order; and the goal where it was reached.
 */
export function partsOf(result: RunResult): RunPart[] {
  const { splits, finished, time, rounds, events } = result;
  const cairns = splits.map(({ piece, round, number, time: at }): RunMark => ({
    key: `${piece} ${round}`,
    name: rounds.length > 0 ? `Round ${round + 1}, cairn ${number}` : `Cairn ${number}`,
    at,
  }));
  const ends = [...countedMarks(events, 'lap', 'Round'), ...countedMarks(events, 'leg', 'Leg')];
  const marks = [...cairns, ...ends];
  if (marks.length === 0) marks.push(...countedMarks(events, 'pickup', 'Gathered'));
  marks.sort((a, b) => a.at - b.at);
  if (finished) marks.push({ key: 'goal', name: 'Lantern', at: time });
  return marks.map((mark, i) => ({ ...mark, time: mark.at - (i === 0 ? 0 : marks[i - 1].at) }));
}

/** All events of a kind as marks, counted from one. */
const countedMarks = (
  events: RunResult['events'],
  kind: 'lap' | 'leg' | 'pickup',
  name: string,
): RunMark[] =>
  events
    .filter((event) => event.kind === kind)
    .map(({ time }, i) => ({ key: `${kind} ${i + 1}`, name: `${name} ${i + 1}`, at: time }));

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
