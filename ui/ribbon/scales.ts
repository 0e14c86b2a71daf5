import { scaleLinear } from 'd3-scale';
import type { Vec3 } from '@/core/geometry';
import type { elevationProfile, Station } from '@/core/route';

export type Profile = ReturnType<typeof elevationProfile>;

/** Height of the ribbon, of its foot with the figures, room above the highest of the way and beside it, pixels. */
export const HEIGHT = 74;
export const FOOT = 18;
const ROOM = 20;
export const SIDE = 16;

/** Pixels of a place along the way and of a height, both from m, in a ribbon so many pixels wide. */
export function ribbonScales({ stations, marks, length }: Profile, tide: number, width: number) {
  const heights = [...stations.map(({ at }) => at[1]), ...marks.map(({ height }) => height)];
  const low = Math.min(tide, ...heights) - 0.3;
  const high = Math.max(low + 5, ...heights);
  return {
    x: scaleLinear([0, Math.max(length, 1)], [SIDE, width - SIDE]),
    y: scaleLinear([low, high], [HEIGHT - FOOT, ROOM]),
  };
}

/** The place of the way nearest to one in the world; a height counts for half. */
export function nearest(stations: readonly Station[], p: Vec3): Station | undefined {
  let best: Station | undefined;
  let least = Infinity;
  for (const station of stations) {
    const gap =
      (station.at[0] - p[0]) ** 2 + (station.at[2] - p[2]) ** 2 + (station.at[1] - p[1]) ** 2 / 4;
    if (gap < least) {
      least = gap;
      best = station;
    }
  }
  return best;
}

/** The place of the way nearest to so many metres along it. */
export const stationAt = (stations: readonly Station[], along: number): Station | undefined =>
  stations.reduce<Station | undefined>(
    (best, s) => (!best || Math.abs(s.along - along) < Math.abs(best.along - along) ? s : best),
    undefined,
  );
