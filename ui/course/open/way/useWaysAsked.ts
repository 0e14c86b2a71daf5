import { useEffect, useMemo } from 'react';
import type { Run } from '@/core/run';
import { isWhole, type KeptAttempt } from '../../../state/attempts';
import { useDebouncedCourse } from '../../../state/debouncedCourse';
import { useCourseOnServer } from '../../../state/queries';
import { useKeptAttempts } from '../../../state/useKeptAttempts';
import { sameRun } from '../../runs/runsKnown';
import { askWays, type NamedRun } from './wayStore';

/** How many of the last finished runs are tried beside the proof. */
const LAST = 2;

/** The runs that are tried after each edit: the proof, and the last that got there, of whatever version. */
export function watchedRuns(proof: Run | null, attempts: readonly KeptAttempt[]): NamedRun[] {
  const runs: NamedRun[] = proof
    ? [{ key: `proof ${proof.claim}`, name: 'Proof', run: proof }]
    : [];
  for (let i = 0; i < attempts.length && runs.length < LAST + (proof ? 1 : 0); i++) {
    const { run, finished, at } = attempts[i];
    if (!finished || !isWhole(attempts[i])) continue;
    // A run that was kept as the proof is tried once.
    if (proof && sameRun(run, proof)) continue;
    runs.push({ key: String(at), name: `Run ${attempts.length - i}`, run });
  }
  return runs;
}

/** Keeps trying the runs of the open course while it is edited. */
export function useWaysAsked(id: string): void {
  const course = useDebouncedCourse();
  const { data } = useCourseOnServer(id);
  const kept = useKeptAttempts(id);
  const proof = data?.proof?.run ?? null;
  const runs = useMemo(() => watchedRuns(proof, kept.data ?? []), [proof, kept.data]);
  useEffect(() => askWays(course, runs), [course, runs]);
}
