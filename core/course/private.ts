import type { Course } from './schema';

/** Whether a course holds anything that is its maker's alone. */
export const hasPrivate = ({ notes, aside, sketch }: Course): boolean =>
  !!notes || aside !== undefined || !!sketch?.picture || (sketch?.notes?.length ?? 0) > 0;

/**
 * The course as others may have it: without the maker's notes, the findings put aside, and the sketch's notes and
 * picture. The same course where there are none.
 */
export function withoutPrivate(course: Course): Course {
  if (!hasPrivate(course)) return course;
  const { notes: _, aside: __, sketch, ...rest } = course;
  if (!sketch) return rest;
  const { picture: ___, notes: ____, ...drawn } = sketch;
  return { ...rest, sketch: drawn };
}
