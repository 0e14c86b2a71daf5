import type { Run } from '@/core/run';
import type { RunEnd, RunPart } from '@/core/timing';
import { isWhole, type Begun, type KeptAttempt } from '../../state/attempts';

/** A run that figures can be read of. */
export interface KnownRun extends Begun {
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
  readonly parts: readonly RunPart[];
  /** What put an end to it, or to what was run since a checkpoint. */
  readonly ends: readonly RunEnd[];
}

/**
 * The runs of a course as it is now, the latest first; numbered in the order they were run,
 * those of the course as it was before counted too.
 *
 * @param attempts - all that is kept on this device, the latest first
 * @param hash - of the course as it is now
 */
export function runsKnown(attempts: readonly KeptAttempt[], hash: string): KnownRun[] {
  return attempts.flatMap((kept, i) => {
    if (kept.run.course !== hash) return [];
    const { run, finished, time, falls, at, from, since, parts, ends } = kept;
    const name = `Run ${attempts.length - i}`;
    const begun = { from, since };
    return [{ key: String(at), run, name, finished, time, falls, at, parts, ends, ...begun }];
  });
}

/** The maker's proof as one of the runs. */
export const proofKnown = (run: Run): KnownRun => ({
  key: 'proof',
  run,
  name: 'Proof',
  finished: true,
  time: run.claim,
  falls: 0,
  at: null,
  parts: [],
  ends: [],
});

/** The quickest of the runs from start to goal, or null. */
export function bestOf(runs: readonly KnownRun[]): KnownRun | null {
  const whole = runs.filter((run) => run.finished && isWhole(run));
  return whole.reduce<KnownRun | null>(
    (best, one) => (best === null || one.time < best.time ? one : best),
    null,
  );
}

/** Whether two are one run: a proof comes back from the server as a copy of the attempt it was. */
export const sameRun = (a: Run, b: Run): boolean =>
  a === b ||
  (a.course === b.course &&
    a.seed === b.seed &&
    a.claim === b.claim &&
    a.inputs.length === b.inputs.length);

/**
 * The runs that one is held against, each once and never itself.
 *
 * @param shown - the run that is looked at
 * @param keys - of the runs picked, in the order they were
 * @param find - a run by its key
 */
export function runsBeside(
  shown: KnownRun,
  keys: readonly string[],
  find: (key: string) => KnownRun | null,
): KnownRun[] {
  const beside: KnownRun[] = [];
  for (const key of keys) {
    const run = find(key);
    if (run && ![shown, ...beside].some((other) => sameRun(other.run, run.run))) beside.push(run);
  }
  return beside;
}
