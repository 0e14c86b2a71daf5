import * as v from 'valibot';
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
