import { crossingOf, type Vec2, type Vec3 } from '../../../geometry';

/** How far a bridge is raised over what it crosses, and over how many metres it climbs. */
const OVER = 3.2;
const CLIMB = 13;

/** The places a way crosses itself on the same level: how far along it is for the first and second time. */
export function ownCrossings(way: readonly Vec3[]): [number, number][] {
  const found: [number, number][] = [];
  const plan = way.map((p): Vec2 => [p[0], p[2]]);
  for (let i = 1; i < way.length; i++) {
    for (let j = i + 3; j < way.length; j++) {
      if (i === 1 && j === way.length - 1) continue;
      if (!crossingOf(plan[i - 1], plan[i], plan[j - 1], plan[j])) continue;
      if (Math.abs(way[i][1] - way[j][1]) < OVER * 0.7) found.push([i, j]);
    }
  }
  return found;
}

/** The way raised to a bridge wherever it would cross itself on the level; evenly spaced places. */
export function bridged(way: readonly Vec3[], pitch: number): Vec3[] {
  const out = [...way];
  for (const [, j] of ownCrossings(way)) {
    const reach = Math.round(CLIMB / pitch);
    for (let k = -reach; k <= reach; k++) {
      const p = out[j + k];
      if (!p) continue;
      const part = 1 - Math.abs(k) / reach;
      const up = OVER * Math.min(1, part * part * (3 - 2 * part) * 1.25);
      out[j + k] = [p[0], Math.max(p[1], way[j][1] + up), p[2]];
    }
  }
  return out;
}
