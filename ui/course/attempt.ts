import type { Course } from '@/core/course';
import { tell } from '../parts';
import { useCourse } from '../state/courseStore';

/** Makes an edit that may refuse in words; these are told. Returns whether anything changed. */
export function attempt(change: (course: Course) => Course, merge?: string): boolean {
  const { course, edit } = useCourse.getState();
  try {
    edit(change, merge);
  } catch (problem) {
    if (!(problem instanceof RangeError)) throw problem;
    tell(problem.message);
    return false;
  }
  return useCourse.getState().course !== course;
}
