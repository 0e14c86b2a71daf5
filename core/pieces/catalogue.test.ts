import fc from 'fast-check';
import type { Piece } from '../course';
import { dot, faceNormal, length, sub, type Polyhedron, type Vec2 } from '../geometry';
import { FAMILIES, localGeometry, planOutlines, specOf, toWorld } from '.';
import { cases } from '../deep.testing';

/** Checks what every solid promises: closed, facing outwards, convex. */
function soundness(solid: Polyhedron): string | null {
  const edges = new Set<string>();
  for (const face of solid.faces) {
    const n = faceNormal(solid, face);
    if (Math.abs(length(n) - 1) > 1e-9) return 'a face without an area';
    const corner = solid.points[face[0]];
    for (const p of solid.points)
      if (dot(n, sub(p, corner)) > 1e-6) return 'not convex, or a face turned inwards';
    face.forEach((a, i) => edges.add(`${a} ${face[(i + 1) % face.length]}`));
  }
  for (const edge of edges)
    if (!edges.has(edge.split(' ').reverse().join(' '))) return 'not closed';
  return null;
}

test.each(FAMILIES.map((family) => [family.id, family] as const))(
  '%s is sound at any size and setting',
  (id, family) => {
    const extent = fc.integer({ min: 2, max: 400 }).map((n) => n / 20);
    const size = fc.tuple(extent, extent, extent);
    const params = fc.record(
      Object.fromEntries(
        family.params.map((param) => [
          param.key,
          param.kind === 'text'
            ? fc.constant('Words')
            : param.kind === 'choice'
              ? fc.constantFrom(...param.options.map(({ value }) => value))
              : param.kind === 'several'
                ? fc.nat({ max: (1 << param.options.length) - 1 })
                : fc
                    .integer({
                      min: Math.ceil(param.min * 10),
                      max: Math.max(
                        Math.ceil(param.min * 10),
                        Math.min(Math.floor(param.max * 10), 150),
                      ),
                    })
                    .map((n) => n / 10),
        ]),
      ),
    );
    fc.assert(
      fc.property(size, params, (s, p) => {
        const { parts, shapes } = localGeometry({ family: id, size: s, params: p });
        const hulls = shapes.flatMap(({ form }) => (form.kind === 'hull' ? [form.solid] : []));
        for (const solid of [
          ...parts.flatMap((part) => (part.mesh ? [] : [part.solid])),
          ...hulls,
        ]) {
          const wrong = soundness(solid);
          if (wrong) throw new Error(wrong);
        }
      }),
      { numRuns: cases(40), seed: 11 },
    );
  },
);

test('defaults fill in what a piece leaves out, and nothing else', () => {
  const drift = FAMILIES.find(({ id }) => id === 'drift')!;
  const spec = specOf(drift, { params: { span: 9, period: 'soon' } });
  expect([spec.number('span'), spec.number('period'), spec.choice('direction')]).toEqual([
    9,
    6,
    'along',
  ]);
  expect(localGeometry({ family: 'slab' })).toBe(localGeometry({ family: 'slab' }));
});

/** How far a place of the map lies outside a convex ring, m; 0 or less within it, whichever way it goes round. */
function outside(ring: readonly Vec2[], [x, z]: Vec2): number {
  const area = ring.reduce((sum, [ax, az], i) => {
    const [bx, bz] = ring[(i + 1) % ring.length];
    return sum + ax * bz - bx * az;
  }, 0);
  return Math.max(
    ...ring.map(([ax, az], i) => {
      const [bx, bz] = ring[(i + 1) % ring.length];
      const [ex, ez] = [bx - ax, bz - az];
      return (-Math.sign(area) * (ex * (z - az) - ez * (x - ax))) / Math.hypot(ex, ez);
    }),
  );
}

test.each(FAMILIES.filter(({ drawn }) => !drawn).map(({ id }) => [id] as const))(
  'the plan outlines of %s hold every corner of its parts, and none reaches beyond them',
  (family) => {
    for (const turn of [
      [0, 0, 0],
      [0, 30, 0],
      [20, 75, -10],
    ] as const) {
      const piece: Piece = { id: 'a', family, at: [3, 0, 4], turn: [...turn] };
      const place = toWorld(piece);
      const { parts } = localGeometry(piece);
      const outlines = planOutlines(piece);
      const corners = parts.flatMap(({ solid }) =>
        solid.points.map(place).map(([x, , z]): Vec2 => [x, z]),
      );
      const held = (corner: Vec2) => outlines.some((ring) => outside(ring, corner) < 1e-6);
      const isCorner = ([x, z]: Vec2) =>
        corners.some(([cx, cz]) => Math.abs(cx - x) < 1e-6 && Math.abs(cz - z) < 1e-6);
      expect(corners.filter((corner) => !held(corner))).toEqual([]);
      expect(outlines.flat().filter((place) => !isCorner(place))).toEqual([]);
    }
  },
);
