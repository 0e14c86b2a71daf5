import type { Course } from '@/core/course';
import { compileMovers } from '@/core/run';
import { commonPeriod } from '@/core/motion';
import { isDryRun } from './dry';

/** Longest time the scrubber plays before it begins anew, s. */
export const SCRUB_SECONDS = 60;

/** Seconds that are played of a course with links or throwers: they may act at any time. */
const LINKED_SECONDS = 30;

/** Seconds the scrubber plays before it begins anew; 0 when there is nothing to play. */
export const scrubSeconds = (course: Course): number =>
  Math.max(coursePeriod(course), isDryRun(course) ? LINKED_SECONDS : 0);

/** Seconds after which all of a course's motions stand as they began, or 60 when that is too long. */
export const coursePeriod = (course: Course): number =>
  commonPeriod(
    compileMovers(course, course.pieces).list.flatMap(({ motions }) => motions),
    SCRUB_SECONDS,
  );
