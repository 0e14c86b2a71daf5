/** How a motion spreads over its period: at one pace, or slowing towards each end. */
export const EASES = ['smooth', 'even'] as const;
export type Ease = (typeof EASES)[number];

/** The part of the period gone by at a tick, 0 to just under 1. */
export function phaseAt(seconds: number, period: number, phase: number): number {
  const turns = seconds / period + phase;
  return turns - Math.floor(turns);
}

/** Out and back: 0 at the start of the period, 1 half way, 0 again at its end. */
export function outAndBack(u: number, ease: Ease): number {
  const s = u < 0.5 ? 2 * u : 2 - 2 * u;
  return ease === 'even' ? s : s * s * (3 - 2 * s);
}

/** To and fro at one pace: 0, 1, 0, -1, 0 over the period. */
export function triangle(u: number): number {
  if (u < 0.25) return 4 * u;
  return u < 0.75 ? 2 - 4 * u : 4 * u - 4;
}
