import * as v from 'valibot';
import type { Course } from './schema';
import { text } from './values';

/** How many courses are remembered that one came from. */
export const MOST_ORIGINS = 12;

/** A published course that another was copied from. */
export const OriginSchema = v.looseObject({
  name: text(60),
  maker: text(40),
  /** The name of its link, where it has one. */
  slug: v.optional(text(80)),
});
export type Origin = v.InferOutput<typeof OriginSchema>;

/** Where a course came from, the nearest first. */
export const OriginsSchema = v.pipe(
  v.array(OriginSchema),
  v.maxLength(MOST_ORIGINS, `has more than ${MOST_ORIGINS} courses it came from`),
);

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
