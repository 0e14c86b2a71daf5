import { TICKS_PER_SECOND } from '../../motion';

/** Seconds a tick. */
export const DT = 1 / TICKS_PER_SECOND;

/** The ticks that so many seconds take, to the nearest. */
export const ticksOf = (seconds: number): number => Math.round(seconds * TICKS_PER_SECOND);
