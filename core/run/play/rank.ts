import type { CourseKind } from '../../course';

/** What a finished run is ranked by. */
export interface Score {
  /** Jumps or strokes made. */
  readonly strokes: number;
  /** Seconds from start to goal. */
  readonly time: number;
}

/** Runs by rank: the fewest strokes first where those are what counts, then the least time. */
export const byRank =
  (kind: CourseKind) =>
  (a: Score, b: Score): number =>
    (kind === 'strokes' ? a.strokes - b.strokes : 0) || a.time - b.time;

/** Whether a run ranks before another. */
export const ranksBefore = (kind: CourseKind, a: Score, b: Score): boolean =>
  byRank(kind)(a, b) < 0;
