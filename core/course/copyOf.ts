import { MOST_ORIGINS, type Origin } from './origin';
import type { Course } from './schema';

/**
 * A course as a copy to go on with: it keeps where it came from, and where that came from, up to the first of all.
 * @param course the course that is copied
 * @param from what it is called, who made it, and its link
 */
export function copyOf(course: Course, from: Origin): Course {
  const before = course.origins ?? [];
  const origins = [from, ...before];
  // Of very many those in the middle are forgotten, never who began.
  const kept =
    origins.length <= MOST_ORIGINS
      ? origins
      : [...origins.slice(0, MOST_ORIGINS - 1), origins[origins.length - 1]];
  return { ...course, origins: kept };
}
