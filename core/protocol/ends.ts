import * as v from 'valibot';
import { boundedList } from '../course';

/** Metres to which it is told where tries end, and most places one try tells of. */
export const END_STEP = 2;
export const MOST_ENDS = 20;

const Place = v.strictTuple([
  v.pipe(v.number(), v.finite(), v.minValue(-1e5), v.maxValue(1e5)),
  v.pipe(v.number(), v.finite(), v.minValue(-1e5), v.maxValue(1e5)),
  v.pipe(v.number(), v.finite(), v.minValue(-1e5), v.maxValue(1e5)),
]);

/** Where something put an end to a try: it fell, was hit, or was left. */
export const EndsBody = v.object({
  ends: boundedList(Place, MOST_ENDS, `has more than ${MOST_ENDS} places`),
});

/** The places where tries end on a course as it is published, m, and how many at each. */
export const EndsAnswer = v.object({
  ends: v.array(v.object({ at: Place, count: v.number() })),
});
export type PublishedEnds = v.InferOutput<typeof EndsAnswer>['ends'];
