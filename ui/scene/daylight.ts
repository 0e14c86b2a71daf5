import { normalize, type Vec3 } from '@/core/geometry';

/** Hour that the colours of the catalogue are made for. */
export const USUAL_HOUR = 13;

/** How light it is at an hour, 0 to 1, and how much of the low sun's warmth is in it. */
export function daylight(hour: number): { light: number; warmth: number } {
  const high = Math.max(0, Math.cos(((hour - USUAL_HOUR) / 8.2) * (Math.PI / 2)));
  return { light: 0.38 + 0.62 * Math.min(1, high * 1.5), warmth: Math.max(0, 1 - high * 1.7) };
}

/** The two lights of an hour, red, green and blue: what the sun shines on, and what only the sky does. */
export function lightsAt(hour: number): { sun: Vec3; sky: Vec3 } {
  const { light, warmth } = daylight(hour);
  return {
    sun: [light * (1 + 0.34 * warmth), light * (1 + 0.02 * warmth), light * (1 - 0.3 * warmth)],
    sky: [light * (1 - 0.22 * warmth), light * (1 - 0.12 * warmth), light * (1 + 0.08 * warmth)],
  };
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
