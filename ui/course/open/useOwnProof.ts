import type { Course } from '@/core/course';
import { CORE_VERSION, type Run } from '@/core/run';
import { resultText } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { useCourseOnServer } from '../../state/queries';
import { useHash } from '../../state/useBest';

/** The maker's own finish of the open course, as the server replayed it. */
export interface OwnProof {
  readonly run: Run | undefined;
  /** Its time in words, after its strokes where the fewest win. */
  readonly finished: string | undefined;
  /** It was made on the course as it is now, by this simulation. */
  readonly fresh: boolean;
  /** The hash over what affects a run of the course as it is now. */
  readonly hash: string;
}

/** Tells of a course that is open whether its maker finished it, and whether that still holds. */
export function useOwnProof(course: Course): OwnProof {
  const id = useCourse((s) => s.id);
  const proof = useCourseOnServer(id).data?.proof;
  const hash = useHash(course);
  const fresh = !!proof && proof.run.course === hash && proof.run.core === CORE_VERSION;
  const finished = proof ? resultText(course.kind, proof) : undefined;
  return { run: proof?.run, finished, fresh, hash };
}
