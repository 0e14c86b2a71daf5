import { scaleLinear } from 'd3-scale';
import { distance, type Vec3 } from '@/core/geometry';
import { RUN_LEAP } from '@/core/route';
import { POINT_SIZE, type RunLine } from '@/core/timing';

/** A run's line as a way through its course. */
export interface LineWay {
  /** Its places in order, m. */
  readonly way: readonly Vec3[];
  /** The tick at which the run was so many metres along it. */
  readonly tickAt: (along: number) => number;
  /** How many metres along it the run was at a tick. */
  readonly alongAt: (tick: number) => number;
}

/** Unrolls a line: what lies further apart than a run gets is no way, but a return to a checkpoint. */
export function lineWay({ points, ticks }: Pick<RunLine, 'points' | 'ticks'>): LineWay {
  const way: Vec3[] = [];
  const alongs: number[] = [];
  const at: number[] = [];
  ticks.forEach((tick, i) => {
    const k = POINT_SIZE * i;
    if (Number.isNaN(points[k])) return;
    const place: Vec3 = [points[k], points[k + 1], points[k + 2]];
    const leg = way.length === 0 ? 0 : distance(way[way.length - 1], place);
    alongs.push((alongs[alongs.length - 1] ?? 0) + (leg > RUN_LEAP ? 0 : leg));
    way.push(place);
    at.push(tick);
  });
  if (way.length < 2) return { way, tickAt: () => at[0] ?? 0, alongAt: () => 0 };
  const tickAt = scaleLinear(alongs, at).clamp(true);
  return {
    way,
    tickAt: (along) => Math.round(tickAt(along)),
    alongAt: scaleLinear(at, alongs).clamp(true),
  };
}
