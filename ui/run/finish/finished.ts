import type { Run, RunResult, Split } from '@/core/run';

/** A finished run, ready to be kept or sent. */
export interface Finished {
  readonly run: Run;
  readonly result: RunResult;
  /** Whether it began at the course's start, as a proof or a sent run must. */
  readonly fromStart: boolean;
  /** Whether something helped it that helps no player. */
  readonly aided: boolean;
  /** The best there was before it. */
  readonly best?: Best;
}

/** What a run is held against. */
export interface Best {
  readonly time: number;
  /** Jumps or strokes made. */
  readonly jumps: number;
  readonly splits: readonly Split[];
  /** Of laps, the seconds each round took. */
  readonly rounds: readonly number[];
}
