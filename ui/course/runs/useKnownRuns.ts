import { useMemo } from 'react';
import type { Course } from '@/core/course';
import { useCourseOnServer } from '../../state/queries';
import { useKeptAttempts } from '../../state/useKeptAttempts';
import { useHash } from '../../state/useBest';
import { bestOf, proofKnown, runsKnown, type KnownRun } from './runsKnown';

/** The runs there are of a course as it is now. */
export interface KnownRuns {
  /** The attempts on this device, the latest first; null while they are looked for. */
  readonly runs: readonly KnownRun[] | null;
  /** How many attempts there are in all, those of the course as it was before too. */
  readonly attempts: number;
  readonly best: KnownRun | null;
  /** The maker's proof, where it is of the course as it is. */
  readonly proof: KnownRun | null;
  /** One of them by its key. */
  readonly find: (key: string) => KnownRun | null;
}

/** What is known of the runs of a course on this device, and its proof. */
export function useKnownRuns(id: string, course: Course): KnownRuns {
  const kept = useKeptAttempts(id);
  const { data } = useCourseOnServer(id);
  const hash = useHash(course);
  return useMemo(() => {
    const runs = kept.data ? runsKnown(kept.data, hash) : null;
    const proof = data?.proof?.run.course === hash ? proofKnown(data.proof.run) : null;
    const best = runs && bestOf(runs);
    const all = [...(runs ?? []), ...(proof ? [proof] : [])];
    const find = (key: string) =>
      key === 'best' ? (best ?? proof) : (all.find((run) => run.key === key) ?? null);
    return { runs, attempts: kept.data?.length ?? 0, best, proof, find };
  }, [kept.data, data, hash]);
}
