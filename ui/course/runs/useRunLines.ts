import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { Course } from '@/core/course';
import type { RunLine } from '@/core/timing';
import { beginLines } from '@/workers/timing';
import { isWhole } from '../../state/attempts';
import { useCourse } from '../../state/courseStore';
import { useShownRuns } from '../../state/shownRuns';
import type { KnownRun } from './runsKnown';
import { useKnownRuns } from './useKnownRuns';

/** How many of the last runs lie over the course when they are asked for. */
export const LAST_RUNS = 10;

/** The runs whose lines are wanted, each once. */
export function wantedRuns(
  runs: readonly KnownRun[],
  lastLines: boolean,
  lines: readonly string[],
  find: (key: string) => KnownRun | null,
): KnownRun[] {
  const wanted = new Map<string, KnownRun>();
  if (lastLines) for (const run of runs.slice(0, LAST_RUNS)) wanted.set(run.key, run);
  for (const key of lines) {
    const run = find(key);
    if (run) wanted.set(run.key, run);
  }
  return [...wanted.values()];
}

/**
 * The lines of the runs that are to lie over the course, drawn in a worker. After an edit those of the course
 * as it was stay until there are newer ones: what one builds by is not to go while one builds.
 */
export function useRunLines(id: string, course: Course): readonly RunLine[] {
  const { runs, find } = useKnownRuns(id, course);
  const { lastLines, lines } = useShownRuns();
  const wanted = useMemo(
    () => wantedRuns(runs ?? [], lastLines, lines, find),
    [runs, lastLines, lines, find],
  );
  const data = useLines(id, course, wanted);
  return lastLines || lines.length > 0 ? (data ?? NONE) : NONE;
}

const NONE: readonly RunLine[] = [];

/** The line of the last run of the open course that arrived; of the course as it was until there is a newer one. */
export function useLastLine(course: Course): RunLine | null {
  const id = useCourse((s) => s.id);
  const { runs } = useKnownRuns(id, course);
  const wanted = useMemo(
    () => (runs ?? []).filter((run) => run.finished && isWhole(run)).slice(0, 1),
    [runs],
  );
  return useLines(id, course, wanted)?.[0] ?? null;
}

/** The lines of some runs of a course, drawn in a worker; those before until they are there. */
export function useLines(
  id: string,
  course: Course,
  wanted: readonly KnownRun[],
): readonly RunLine[] | undefined {
  const { data } = useQuery({
    queryKey: ['lines', id, wanted.map(({ key, run }) => [key, run.course])],
    queryFn: ({ signal }) => {
      const job = beginLines(
        course,
        wanted.map(({ run, from }) => ({ run, from })),
      );
      signal.addEventListener('abort', job.cancel);
      return job.result;
    },
    enabled: wanted.length > 0,
    staleTime: Infinity,
    placeholderData: (before) => before,
    retry: false,
  });
  return data;
}
