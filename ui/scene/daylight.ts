import { normalize, type Vec3 } from '@/core/geometry';

/** Hour that the colours of the catalogue are made for. */
export const USUAL_HOUR = 13;

/** How light it is at an hour, 0 to 1, and how much of the low sun's warmth is in it. */
export function daylight(hour: number): { light: number; warmth: number } {
  const high = Math.max(0, Math.cos(((hour - USUAL_HOUR) / 8.2) * (Math.PI / 2)));
  return { light: 0.38 + 0.62 * Math.min(1, high * 1.5), warmth: Math.max(0, 1 - high * 1.7) };
}

/** The way to the sun at an hour: low on the left by morning, high before noon is out, low on the right. */
export function sunAt(hour: number): Vec3 {
  const off = hour - USUAL_HOUR;
  const round = ((31 + off * 11) * Math.PI) / 180;
  const high = (Math.max(10, 49.5 - Math.abs(off) * 5) * Math.PI) / 180;
  return normalize([
    Math.sin(round) * Math.cos(high) * 1.38,
    Math.sin(high),
    Math.cos(round) * Math.cos(high) * 0.83,
  ]);
}
