import * as v from 'valibot';
import { SeriesSummary } from './series';

/** What is told of somebody who makes courses; the courses themselves are found as all are. */
export const MakerPageAnswer = v.object({
  name: v.string(),
  /** Since when, ms. */
  since: v.number(),
  courses: v.number(),
  /** Times their courses were begun, and finished. */
  tries: v.number(),
  finishes: v.number(),
  followers: v.number(),
  /** Whether the viewer follows them, and is them. */
  followed: v.boolean(),
  own: v.boolean(),
  series: v.array(SeriesSummary),
});
export type MakerPage = v.InferOutput<typeof MakerPageAnswer>;

export const FollowBody = v.object({ followed: v.boolean() });
export const FollowAnswer = v.object({ followers: v.number() });
