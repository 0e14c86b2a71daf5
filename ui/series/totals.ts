import type { SeriesCourseTold } from '@/core/protocol';

/** The sum of times, s; null where one is missing. */
export function totalOf(courses: readonly SeriesCourseTold[], of: 'best' | 'own'): number | null {
  let sum = 0;
  for (const course of courses) {
    const time = course[of];
    if (time === null) return null;
    sum += time;
  }
  return courses.length > 0 ? sum : null;
}

/** The course to go on with: in one sitting the first; else the first not finished yet, or the first. */
export function nextToRun(
  courses: readonly SeriesCourseTold[],
  sitting: boolean,
): SeriesCourseTold | undefined {
  const up = courses.filter(({ shown }) => shown);
  return (sitting ? undefined : up.find(({ own }) => own === null)) ?? up[0];
}

/** The course that comes after one, of those that are up. */
export function courseAfter(
  courses: readonly SeriesCourseTold[],
  slug: string,
): SeriesCourseTold | undefined {
  const at = courses.findIndex((course) => course.slug === slug);
  return at < 0 ? undefined : courses.slice(at + 1).find(({ shown }) => shown);
}
