import { cross, dot, normalize, sub, type Vec3 } from '../geometry';
import { FAMILIES, facetsOf, localGeometry, type Facet } from '.';

/** Area that two flat faces share, m². They lie in one plane and look the same way. */
function shared(a: Facet, b: Facet): number {
  const across = normalize(sub(a.points[1], a.points[0]));
  const up = cross(a.normal, across);
  const flat = (p: Vec3): [number, number] => [dot(p, across), dot(p, up)];
  let left = a.points.map(flat);
  const edges = b.points.map(flat);
  for (let i = 0; i < edges.length && left.length > 0; i++) {
    const [p, q] = [edges[i], edges[(i + 1) % edges.length]];
    const side = ([x, y]: [number, number]) =>
      (q[0] - p[0]) * (y - p[1]) - (q[1] - p[1]) * (x - p[0]);
    left = left.flatMap((from, k) => {
      const to = left[(k + 1) % left.length];
      const [d, e] = [side(from), side(to)];
      const cut: [number, number] = [
        from[0] + ((to[0] - from[0]) * d) / (d - e),
        from[1] + ((to[1] - from[1]) * d) / (d - e),
      ];
      return [...(d >= 0 ? [from] : []), ...(d >= 0 !== e >= 0 ? [cut] : [])];
    });
  }
  const area = left.reduce((sum, [x, y], i) => {
    const [u, v] = left[(i + 1) % left.length];
    return sum + x * v - u * y;
  }, 0);
  return Math.abs(area) / 2;
}

const inOnePlane = (a: Facet, b: Facet): boolean =>
  dot(a.normal, b.normal) > 0.9999 && Math.abs(dot(a.normal, sub(a.points[0], b.points[0]))) < 1e-4;

/** Least area that is seen to flicker, m². */
const SLIVER = 5e-4;

test.each(FAMILIES.filter(({ drawn }) => !drawn).map(({ id }) => [id]))(
  '%s has no two faces of different colours in one plane, which would flicker',
  (family) => {
    // What it stands on hides what looks down at its foot.
    const facets = facetsOf(localGeometry({ family }).parts).filter(
      ({ normal, points }) => normal[1] > -0.99 || points[0][1] > 0.01,
    );
    const wrong: string[] = [];
    facets.forEach((a, i) => {
      for (const b of facets.slice(i + 1)) {
        if (a.tone === b.tone || !inOnePlane(a, b) || shared(a, b) < SLIVER) continue;
        wrong.push(`${a.tone} and ${b.tone} at ${a.points[0].map((v) => v.toFixed(2)).join(', ')}`);
      }
    });
    expect(wrong).toEqual([]);
  },
);
