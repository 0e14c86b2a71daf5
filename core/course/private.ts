import type { Course } from './schema';

/** Whether a course holds anything that is its maker's alone. */
export const hasPrivate = ({ notes, sketch }: Course): boolean =>
  !!notes || !!sketch?.picture || (sketch?.notes?.length ?? 0) > 0;

/**
 * The course as others may have it: without the maker's notes, and without the notes and the picture of the
 * sketch. The same course where there are none.
 */
export function withoutPrivate(course: Course): Course {
  if (!hasPrivate(course)) return course;
  const { notes: _, sketch, ...rest } = course;
  if (!sketch) return rest;
  const { picture: __, notes: ___, ...drawn } = sketch;
  return { ...rest, sketch: drawn };
}
