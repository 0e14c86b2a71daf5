import type { Course } from '@/core/course';
import { compileMovers } from '@/core/run';
import { periodOf } from '@/core/motion';
import { isDryRun } from './dry';

/** Longest time the scrubber plays before it begins anew, s. */
export const SCRUB_SECONDS = 60;

/** Seconds that are played of a course with links or throwers: they may act at any time. */
const LINKED_SECONDS = 30;

/** Seconds the scrubber plays before it begins anew; 0 when there is nothing to play. */
export const scrubSeconds = (course: Course): number =>
  Math.max(commonPeriod(course), isDryRun(course) ? LINKED_SECONDS : 0);

/** Seconds after which all of a course's motions stand as they began, or 60 when that is too long. */
export function commonPeriod(course: Course): number {
  const periods = compileMovers(course, course.pieces).list.flatMap(({ motions }) =>
    motions.map((motion) => Math.round(periodOf(motion) * 100)),
  );
  let common = 1;
  for (const period of new Set(periods)) {
    common = (common / gcd(common, Math.max(1, period))) * Math.max(1, period);
    if (common > SCRUB_SECONDS * 100) return SCRUB_SECONDS;
  }
  return periods.length > 0 ? common / 100 : 0;
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
