import { distance, lerp, mapVec3, type Vec3 } from '../../../geometry';

/** Metres rounded to the centimetres a sketch is kept in. */
export const toCentimetres = ([x, y, z]: Vec3): [number, number, number] => [
  Math.round(x * 100) / 100,
  Math.round(y * 100) / 100,
  Math.round(z * 100) / 100,
];

export const wayLengthOf = (way: readonly Vec3[], closed = false): number =>
  way.reduce((sum, p, i) => (i > 0 ? sum + distance(way[i - 1], p) : sum), 0) +
  (closed && way.length > 1 ? distance(way[way.length - 1], way[0]) : 0);

/** Places along a way at an even pitch in metres, both ends kept. */
export function resample(way: readonly Vec3[], pitch: number): Vec3[] {
  if (way.length === 0) return [];
  const out: Vec3[] = [way[0]];
  let along = 0;
  let next = pitch;
  for (let i = 1; i < way.length; i++) {
    const leg = distance(way[i - 1], way[i]);
    while (leg > 0 && next <= along + leg) {
      out.push(lerp(way[i - 1], way[i], (next - along) / leg));
      next += pitch;
    }
    along += leg;
  }
  const last = way[way.length - 1];
  if (distance(out[out.length - 1], last) > 1e-6) out.push(last);
  return out;
}

/** Draws every place towards the middle of its neighbours, so many times; open ends stay. */
export function smoothWay(way: readonly Vec3[], closed: boolean, rounds: number): Vec3[] {
  let points = [...way];
  for (let round = 0; round < rounds; round++) {
    points = points.map((p, i) => {
      const n = points.length;
      if (!closed && (i === 0 || i === n - 1)) return p;
      const [a, b] = [points[(i + n - 1) % n], points[(i + 1) % n]];
      return mapVec3((k) => p[k] / 2 + (a[k] + b[k]) / 4);
    });
  }
  return points;
}

/** Leaves out places that lie nearly on a line between those kept (Ramer, 1972; Douglas and Peucker, 1973). */
export function thinWay(way: readonly Vec3[], rough: number): Vec3[] {
  const off = (p: Vec3, a: Vec3, b: Vec3): number => {
    const l = distance(a, b);
    if (l === 0) return distance(p, a);
    const k = Math.min(
      1,
      Math.max(0, [0, 1, 2].reduce((sum, i) => sum + (p[i] - a[i]) * (b[i] - a[i]), 0) / (l * l)),
    );
    return distance(p, lerp(a, b, k));
  };
  const keep = new Set([0, way.length - 1]);
  const parts: [number, number][] = [[0, way.length - 1]];
  while (parts.length > 0) {
    const [from, to] = parts.pop()!;
    let worst = rough * 0.06;
    let at = -1;
    for (let i = from + 1; i < to; i++) {
      const d = off(way[i], way[from], way[to]);
      if (d > worst) {
        worst = d;
        at = i;
      }
    }
    if (at > 0) {
      keep.add(at);
      parts.push([from, at], [at, to]);
    }
  }
  return way.filter((_, i) => keep.has(i));
}
