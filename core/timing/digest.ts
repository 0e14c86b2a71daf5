import type { RunResult } from '../run';
import { endsOf, type RunEnd } from './ends';
import { partsOf, type RunPart } from './parts';

/** What there is to say of a run without playing it again. */
export interface RunDigest {
  readonly finished: boolean;
  /** s. */
  readonly time: number;
  readonly falls: number;
  /** What put an end to it, or to what was run since a checkpoint. */
  readonly ends: readonly RunEnd[];
  readonly parts: readonly RunPart[];
}

/** What there is to say of a run that was played. */
export const digestOf = (result: RunResult): RunDigest => ({
  finished: result.finished,
  time: result.time,
  falls: result.falls,
  ends: endsOf(result),
  parts: partsOf(result),
});
