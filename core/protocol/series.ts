import * as v from 'valibot';
import { boundedList, COURSE_KINDS, CourseName, RUNNERS } from '../course';

/** Most courses of a series. */
export const MOST_IN_SERIES = 100;
/** Most series of a maker. */
export const MOST_SERIES = 100;

/** Published courses in an order, as their maker puts them together. */
export const SeriesBody = v.object({
  name: CourseName,
  /** What it is about. */
  words: v.optional(
    v.pipe(v.string(), v.trim(), v.maxLength(500, 'This has more than 500 letters.')),
    '',
  ),
  /** Whether it is run in one sitting: the clock goes on from course to course. */
  sitting: v.optional(v.boolean(), false),
  /** Their links' names. */
  courses: v.pipe(
    boundedList(
      v.pipe(v.string(), v.minLength(1), v.maxLength(100)),
      MOST_IN_SERIES,
      `A series has at most ${MOST_IN_SERIES} courses.`,
    ),
    v.check((slugs) => new Set(slugs).size === slugs.length, 'A course is in it twice.'),
  ),
});
export type SeriesWritten = v.InferOutput<typeof SeriesBody>;

/** A course of a series, with the best time on it and one's own. */
const SeriesCourse = v.object({
  slug: v.string(),
  /** A digest of what it shows. */
  look: v.string(),
  name: v.string(),
  maker: v.string(),
  kind: v.picklist(COURSE_KINDS),
  runner: v.picklist(RUNNERS),
  /** Metres. */
  length: v.number(),
  /** Seconds; null where nobody, or oneself not yet, has finished it as it now is. */
  best: v.nullable(v.number()),
  own: v.nullable(v.number()),
  /** Whether it is up; who did not make the series is told of none that is not. */
  shown: v.boolean(),
});
export type SeriesCourseTold = v.InferOutput<typeof SeriesCourse>;

export const SeriesAnswer = v.object({
  id: v.string(),
  name: v.string(),
  words: v.string(),
  sitting: v.boolean(),
  maker: v.string(),
  /** Whether the viewer made it. */
  own: v.boolean(),
  courses: v.array(SeriesCourse),
});
export type Series = v.InferOutput<typeof SeriesAnswer>;

/** A series as lists tell of it. */
export const SeriesSummary = v.object({
  id: v.string(),
  name: v.string(),
  courses: v.number(),
  sitting: v.boolean(),
  changed: v.number(),
});
export type SeriesListed = v.InferOutput<typeof SeriesSummary>;
export const SeriesListAnswer = v.object({ series: v.array(SeriesSummary) });
