/** Taps further apart than this begin anew, ms. */
const PAUSE = 2500;
/** How many of the last taps are heeded. */
const HEEDED = 8;
/** How many it takes. */
const LEAST = 4;
/** Beats a minute that a course may have. */
const [SLOWEST, FASTEST] = [30, 300];

/** The taps that count with one more at a time, ms. */
export function withTap(taps: readonly number[], now: number): readonly number[] {
  const last = taps[taps.length - 1];
  return last !== undefined && now - last < PAUSE ? [...taps.slice(1 - HEEDED), now] : [now];
}

/** The beats a minute that were tapped; null before there are enough, or where no course has so many. */
export function tappedBeats(taps: readonly number[]): number | null {
  if (taps.length < LEAST) return null;
  const beats = Math.round((60_000 * (taps.length - 1)) / (taps[taps.length - 1] - taps[0]));
  return beats >= SLOWEST && beats <= FASTEST ? beats : null;
}
