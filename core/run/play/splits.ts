import type { RunEvent } from '../state';

/** When a checkpoint was reached. */
export interface Split {
  readonly piece: string;
  readonly number: number;
  /** The round it was reached in, from 0; always 0 where there are none. */
  readonly round: number;
  /** Seconds since the start. */
  readonly time: number;
}

/**
 * The splits of a run, in order.
 * @param numberOf a checkpoint's number by its piece's id
 */
export function splitsOf(
  events: readonly RunEvent[],
  numberOf: (piece: string) => number,
): Split[] {
  let round = 0;
  return events.flatMap(({ kind, piece, time }): Split[] => {
    if (kind === 'lap') round++;
    if (kind !== 'checkpoint' || piece === undefined) return [];
    return [{ piece, number: numberOf(piece), round, time }];
  });
}

/** Seconds each round took that is done, in order; the last one ends at the goal. None without laps. */
export function roundsOf(events: readonly RunEvent[]): number[] {
  const ends = events.flatMap(({ kind, time }) => (kind === 'lap' ? [time] : []));
  if (ends.length === 0) return [];
  const goal = events.find(({ kind }) => kind === 'goal');
  if (goal) ends.push(goal.time);
  return ends.map((end, i) => end - (i === 0 ? 0 : ends[i - 1]));
}
