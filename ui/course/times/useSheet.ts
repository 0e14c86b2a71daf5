import { useQuery } from '@tanstack/react-query';
import type { Course } from '@/core/course';
import type { BegunRun, RunSheet } from '@/core/timing';
import { beginSheet } from '@/workers/timing';

const nameOf = (begun: BegunRun | null) => {
  if (!begun) return null;
  const { course, seed, claim, inputs } = begun.run;
  return [course, seed, claim, inputs.length, begun.from ?? null];
};

/** No more of it than is needed travels to the worker. */
const begunOf = ({ run, from }: BegunRun): BegunRun => ({ run, from });

/** A run's figures, read in a worker; kept by course hash and run, and read no further when nobody waits for them. */
export function useSheet(course: Course, shown: BegunRun, against: BegunRun | null) {
  return useQuery<RunSheet, Error>({
    queryKey: ['sheet', nameOf(shown), nameOf(against)],
    queryFn: ({ signal }) => {
      const job = beginSheet(course, begunOf(shown), against && begunOf(against));
      signal.addEventListener('abort', job.cancel);
      return job.result;
    },
    staleTime: Infinity,
    retry: false,
  });
}
