import { useQuery } from '@tanstack/react-query';
import type { Course } from '@/core/course';
import type { BegunRun, RunSheet } from '@/core/timing';
import { beginSheet } from '@/workers/timing';
import type { KnownRun } from './runsKnown';

const nameOf = ({ run: { course, seed, claim, inputs }, from }: BegunRun) => [
  course,
  seed,
  claim,
  inputs.length,
  from ?? null,
];

/** No more of it than is needed travels to the worker. */
const begunOf = ({ run, from }: BegunRun): BegunRun => ({ run, from });

/** A run's figures, and what the runs it is held against are called. */
export interface ReadSheet {
  readonly of: string;
  readonly sheet: RunSheet;
  readonly names: readonly string[];
}

/** A run's figures, read in a worker; kept by course hash and run, and read no further when nobody waits for them. */
export function useSheet(course: Course, shown: KnownRun, others: readonly KnownRun[]) {
  return useQuery<ReadSheet, Error>({
    queryKey: ['sheet', nameOf(shown), others.map(nameOf)],
    queryFn: async ({ signal }) => {
      const job = beginSheet(course, begunOf(shown), others.map(begunOf));
      signal.addEventListener('abort', job.cancel);
      const sheet = await job.result;
      return { of: shown.key, sheet, names: others.map(({ name }) => name) };
    },
    // What it was held against before stays until what it is held against now is read.
    placeholderData: (before) => (before?.of === shown.key ? before : undefined),
    staleTime: Infinity,
    retry: false,
  });
}
