const deep = !!process.env.STONEHOP_DEEP;

/**
 * How many random cases a slow law is tried with: a tenth of them each time, all of them by `npm run test:deep`. The
 * seeds stay the same, so that a case found in the long run is found again in it.
 */
export const cases = (count: number): number => (deep ? count : Math.ceil(count / 10));

/** Every so many of a long row, all of them by `npm run test:deep`: true for the index of one that is tried. */
export const tried = (index: number, every: number): boolean => deep || index % every === 0;
