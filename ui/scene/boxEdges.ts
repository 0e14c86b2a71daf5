import type { Vec3 } from '@/core/geometry';

/** Adds the twelve edges of a box, made larger by so many metres on each side, to a list of line ends. */
export function boxEdges(low: Vec3, high: Vec3, by: number, out: number[]): void {
  const x = [low[0] - by, high[0] + by];
  const y = [low[1] - by, high[1] + by];
  const z = [low[2] - by, high[2] + by];
  for (const a of [0, 1]) {
    for (const b of [0, 1]) {
      out.push(x[0], y[a], z[b], x[1], y[a], z[b]);
      out.push(x[a], y[0], z[b], x[a], y[1], z[b]);
      out.push(x[a], y[b], z[0], x[a], y[b], z[1]);
    }
  }
}
