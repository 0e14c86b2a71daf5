import { useQuery } from '@tanstack/react-query';
import type { Course } from '@/core/course';
import type { Run } from '@/core/run';
import type { RunSheet } from '@/core/timing';
import { beginSheet } from '@/workers/timing';

const nameOf = (run: Run | null) =>
  run && `${run.course} ${run.seed} ${run.claim} ${run.inputs.length}`;

/** A run's figures, read in a worker; kept by course hash and run, and read no further when nobody waits for them. */
export function useSheet(course: Course, run: Run | null, against: Run | null) {
  return useQuery<RunSheet, Error>({
    queryKey: ['sheet', nameOf(run), nameOf(against)],
    queryFn: ({ signal }) => {
      const job = beginSheet(course, run!, against);
      signal.addEventListener('abort', job.cancel);
      return job.result;
    },
    enabled: run !== null,
    staleTime: Infinity,
    retry: false,
  });
}
