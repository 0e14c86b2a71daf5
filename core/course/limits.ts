// How much of what costs every tick a course may have. A maker stays far below; what is more would have runs
// falter, and is told of when it is set and by the check.

/** Loose pieces. */
export const MOST_LOOSE = 100;
/** Copies that all throwers together may have about at once. */
export const MOST_COPIES_ABOUT = 240;
/** Copies of a thrower when the maker says nothing. */
export const USUAL_COPIES = 6;
/** Pieces that move by themselves. */
export const MOST_MOVERS = 2000;
/** Movers that one mover may be carried by, one on the other. */
export const MOST_CARRIED = 24;
/** Links. */
export const MOST_LINKS = 500;
/** Links that timers and beats may have act within a second. */
export const MOST_TIMED = 120;
/** Most findings that a course keeps as put aside. */
export const MOST_ASIDE = 500;
