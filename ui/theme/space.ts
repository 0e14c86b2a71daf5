/** Distances between and within things, in points. */
export const SPACE = { xs: 4, s: 8, m: 12, l: 16, xl: 24, xxl: 32 } as const;
/** Corner radii. */
export const RADIUS = { s: 8, m: 12, l: 16 } as const;
/** Smallest side of anything that is touched. */
export const TARGET = 44;
/** Width from which the wide layout is used. */
export const WIDE = 900;
