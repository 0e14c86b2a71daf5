import type { Course } from '@/core/course';
import { useView } from '../../scene';
import { useCourse } from '../../state/courseStore';

/** Edits what a course is for; where that moves it from the side to a plan or back, the view follows. */
export function reshape(change: (course: Course) => Course): void {
  const { space } = useCourse.getState().course;
  useCourse.getState().edit(change);
  const now = useCourse.getState().course.space;
  if (now !== space) useView.getState().setMode(now === 'free' ? 'above' : 'side');
}
