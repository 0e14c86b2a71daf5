import type { Vec3 } from '@/core/geometry';
import type { Station } from '@/core/route';
import { nearest } from './scales';

/** Stretches of the way in which ends are counted together. */
const STRETCHES = 28;
/** Farther off the way than this nothing is booked to it, m. */
const OFF = 12;

/** A stretch of the way in which tries ended. */
export interface EndsAlong {
  /** Where it begins and ends, metres along the way. */
  readonly from: number;
  readonly to: number;
  /** How many ended there, and as a part of where most did. */
  readonly count: number;
  readonly part: number;
}

/**
 * Where along the way tries ended.
 * @param stations places of the way
 * @param length of the way, m
 * @param ends where they ended, m
 * @param times how many ended at each of these; one, where that is not told
 */
export function endsAlong(
  stations: readonly Station[],
  length: number,
  ends: readonly Vec3[],
  times?: readonly number[],
): EndsAlong[] {
  if (length <= 0) return [];
  const counts = new Array<number>(STRETCHES).fill(0);
  for (const [i, end] of ends.entries()) {
    const station = nearest(stations, end);
    if (!station) continue;
    const [dx, dz] = [station.at[0] - end[0], station.at[2] - end[2]];
    if (dx * dx + dz * dz > OFF * OFF) continue;
    counts[Math.min(STRETCHES - 1, Math.floor((station.along / length) * STRETCHES))] +=
      times?.[i] ?? 1;
  }
  const most = Math.max(...counts);
  return counts.flatMap((count, i) =>
    count > 0
      ? [
          {
            from: (i * length) / STRETCHES,
            to: ((i + 1) * length) / STRETCHES,
            count,
            part: count / most,
          },
        ]
      : [],
  );
}
