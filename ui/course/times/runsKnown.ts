import type { Run } from '@/core/run';
import type { RunPart } from '@/core/timing';
import type { KeptAttempt } from '../../state/attempts';

/** A run that figures can be read of. */
export interface KnownRun {
  /** The same for the same run. */
  readonly key: string;
  readonly run: Run;
  /** What it is called. */
  readonly name: string;
  readonly finished: boolean;
  /** s. */
  readonly time: number;
  readonly falls: number;
  /** When it was run, ms; the proof's is not known. */
  readonly at: number | null;
  readonly fromStart: boolean;
  readonly parts: readonly RunPart[];
}

/** What a run is held against. */
export type Against = 'best' | 'proof' | 'none';

/**
 * The runs of a course as it is now, the latest first and the proof last; numbered in the order they were run,
 * those of the course as it was before counted too.
 *
 * @param attempts - all that is kept on this device, the latest first
 * @param hash - of the course as it is now
 */
export function runsKnown(attempts: readonly KeptAttempt[], hash: string): KnownRun[] {
  return attempts.flatMap((kept, i) => {
    if (kept.run.course !== hash) return [];
    const { run, finished, time, falls, at, fromStart, parts } = kept;
    const name = `Run ${attempts.length - i}`;
    return [{ key: String(at), run, name, finished, time, falls, at, fromStart, parts }];
  });
}

/** The quickest of the runs from start to goal, or null. */
export function bestOf(runs: readonly KnownRun[]): KnownRun | null {
  const whole = runs.filter(({ finished, fromStart }) => finished && fromStart);
  return whole.reduce<KnownRun | null>(
    (best, one) => (best === null || one.time < best.time ? one : best),
    null,
  );
}

/** The run that one is held against: none where it would be itself. */
export function rivalOf(
  shown: KnownRun,
  against: Against,
  runs: readonly KnownRun[],
  proof: Run | null,
): Run | null {
  if (against === 'none') return null;
  const rival = against === 'proof' ? proof : (bestOf(runs)?.run ?? proof);
  return rival === shown.run ? null : rival;
}
