/** How a motion spreads over its time: at one pace, or slowing towards each end. */
export type Ease = 'smooth' | 'even';

/** The part of the period gone by at a time in seconds, 0 to just under 1. */
export function phaseAt(seconds: number, period: number, phase: number): number {
  const turns = seconds / period + phase;
  return turns - Math.floor(turns);
}

/** From 0 to 1, slowing towards both ends or not. */
export const eased = (u: number, ease: Ease): number => (ease === 'even' ? u : u * u * (3 - 2 * u));

/** Out and back: 0 at the start of the period, 1 half way, 0 again at its end. */
export const pingPong = (u: number, ease: Ease): number => eased(u < 0.5 ? 2 * u : 2 - 2 * u, ease);

/** To and fro at one pace: 0, 1, 0, -1, 0 over the period. */
export function triangle(u: number): number {
  if (u < 0.25) return 4 * u;
  return u < 0.75 ? 2 - 4 * u : 4 * u - 4;
}
