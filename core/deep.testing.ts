/**
 * How many random cases a slow law is tried with: a third of them each time, all of them by `npm run test:deep`. The
 * seeds stay the same, so that a case found in the long run is found again in it.
 */
export const cases = (count: number): number =>
  process.env.STONEHOP_DEEP ? count : Math.ceil(count / 3);
