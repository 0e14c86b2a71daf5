import { useQueries } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { Course } from '@/core/course';
import type { BegunRun } from '@/core/timing';
import { beginTrack } from '@/workers/timing';
import { type PaleRun } from './paleRun';

/** A run that is to be shown beside another. */
export interface PaleWish extends BegunRun {
  readonly key: string;
  readonly name: string;
}

/** The runs wished for, as far as they have been played again in a worker. */
export function usePales(course: Course, wishes: readonly PaleWish[]): readonly PaleRun[] {
  const tracks = useQueries({
    queries: wishes.map(({ key, run, from }) => ({
      queryKey: ['track', key, run.course, run.claim, run.inputs.length],
      queryFn: ({ signal }: { signal: AbortSignal }) => {
        const job = beginTrack(course, { run, from });
        signal.addEventListener('abort', job.cancel);
        return job.result;
      },
      staleTime: Infinity,
      retry: false,
    })),
    // Only the answers: all else of a query changes while it runs.
    combine: (results) => results.map(({ data }) => data),
  });
  return useMemo(
    () =>
      wishes.flatMap(({ key, name }, i) => {
        const track = tracks[i];
        return track ? [{ key, name, track }] : [];
      }),
    [wishes, tracks],
  );
}
