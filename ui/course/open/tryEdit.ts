import type { Course } from '@/core/course';
import { showToast } from '../../parts';
import { useCourse } from '../../state/courseStore';

/** Makes an edit that may refuse in words; these are told. Returns whether anything changed. */
export function tryEdit(change: (course: Course) => Course, merge?: string): boolean {
  const { course, edit } = useCourse.getState();
  try {
    edit(change, merge);
  } catch (problem) {
    if (!(problem instanceof RangeError)) throw problem;
    showToast(problem.message);
    return false;
  }
  return useCourse.getState().course !== course;
}
