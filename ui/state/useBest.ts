import { useMemo } from 'react';
import { courseHash, type Course } from '@/core/course';
import { replay, type Run, type RunResult } from '@/core/run';

/** A run replayed on a course, or null when there is none or it was made on another version. */
export function useReplay(course: Course, run: Run | undefined): RunResult | null {
  const hash = useHash(course);
  return useMemo(
    () => (run && run.course === hash ? replay(course, run) : null),
    // Equal hashes give equal replays, whatever else of the course changed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [hash, run],
  );
}

/** The hash over what affects a run. */
export const useHash = (course: Course): string => useMemo(() => courseHash(course), [course]);
