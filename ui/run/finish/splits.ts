import { ranksBefore, type RunResult } from '@/core/run';
import type { CourseKind, Targets } from '@/core/course';
import type { Best } from './finished';

/** What the runner makes: jumps or strokes. */
export type Effort = 'jump' | 'stroke';

/** A part of a run: how long it took to there, and how long the best took. Seconds. */
export interface SplitRow {
  readonly name: string;
  readonly time: number;
  readonly best: number | undefined;
}

/** All parts of a finished run: checkpoints, rounds, legs and the goal. */
export function splitRows(result: RunResult, best: Best | undefined, effort: Effort): SplitRow[] {
  const laps = result.rounds.length > 0;
  return [
    ...result.splits.map((split) => ({
      name: `${laps ? `Round ${split.round + 1}, checkpoint` : 'Checkpoint'} ${split.number}`,
      time: split.time,
      best: best?.splits.find(({ piece, round }) => piece === split.piece && round === split.round)
        ?.time,
    })),
    ...result.rounds.map((time, i) => ({
      name: `Round ${i + 1}${time === Math.min(...result.rounds) ? ', the best' : ''}`,
      time,
      best: best?.rounds[i],
    })),
    ...result.legs.map(({ strokes, time }, i) => ({
      name: effort === 'stroke' ? `Leg ${i + 1}, ${counted(strokes, 'stroke')}` : `Leg ${i + 1}`,
      time,
      best: undefined,
    })),
    { name: 'Goal', time: result.time, best: best?.time },
  ];
}

/**
 * What there is to say of a run beside its times.
 * @param result the run as it was replayed
 * @param targets times to hold it against, where there are any
 * @param effort what is counted of it; left out where that is told already
 */
export function runWords(
  result: RunResult,
  targets: Targets | undefined,
  effort: Effort | undefined,
): string {
  return [
    result.pickups > 0 && `${result.gathered} of ${result.pickups} shells`,
    result.falls === 0 ? 'no falls' : counted(result.falls, 'fall'),
    effort && result.jumps > 0 && counted(result.jumps, effort),
    targets && targetWord(result.time, targets),
  ]
    .filter(Boolean)
    .join(' · ');
}

/** Whether a result ranks after the best. */
export const isBehind = (kind: CourseKind, { jumps, time }: RunResult, best: Best): boolean =>
  ranksBefore(kind, { strokes: best.jumps, time: best.time }, { strokes: jumps, time });

/** By how many strokes a run is off another, in words. */
export const strokeGap = (by: number): string =>
  `${by > 0 ? '+' : '−'}${counted(Math.abs(by), 'stroke')}`;

const counted = (n: number, what: string): string => `${n} ${what}${n === 1 ? '' : 's'}`;

/** The best target that was met, or how far off the easiest one was. */
function targetWord(time: number, { steady, brisk, swift }: Targets): string {
  if (time <= swift) return 'swift';
  if (time <= brisk) return `brisk, ${(time - swift).toFixed(1)} s from swift`;
  if (time <= steady) return `steady, ${(time - brisk).toFixed(1)} s from brisk`;
  return `${(time - steady).toFixed(1)} s from steady`;
}
