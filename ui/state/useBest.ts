import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { type Course } from '@/core/course';
import { courseHash, loadPhysics, replay, type Run, type RunResult } from '@/core/run';

/** A run replayed on a course, or null when there is none yet or it was made on another version. */
export function useReplay(course: Course, run: Run | undefined): RunResult | null {
  // Only taken when there is something to hold it against.
  const hash = useMemo(() => (run ? courseHash(course) : ''), [course, run]);
  const holds = run !== undefined && run.course === hash;
  const { data } = useQuery({
    // Equal hashes give equal replays, whatever else of the course changed.
    queryKey: ['replay', hash, run?.claim, run?.seed],
    queryFn: async () => {
      await loadPhysics(course);
      return replay(course, run!);
    },
    enabled: holds,
    staleTime: Infinity,
  });
  return (holds && data) || null;
}

/** The hash over what affects a run. */
export const useHash = (course: Course): string => useMemo(() => courseHash(course), [course]);
