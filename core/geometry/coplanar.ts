import { planesOf } from './planes';
import type { Polyhedron } from './polyhedron';

/** How far a corner may lie off a plane and still count as in it, m. */
const FLAT = 1e-9;

/**
 * The faces of a convex solid with those that lie side by side in one plane made one, and those without
 * area taken into a neighbour's, and edges that were split made whole: a cut across a flat side then makes no
 * difference to what meets it.
 * @returns the solid's own list when there is nothing to merge
 */
export function mergedFaces(solid: Polyhedron): Polyhedron['faces'] {
  const { faces, points } = solid;
  const planes = planesOf(solid);
  const across = new Map<number, number>();
  const key = (a: number, b: number) => a * points.length + b;
  faces.forEach((face, f) =>
    face.forEach((a, i) => across.set(key(a, face[(i + 1) % face.length]), f)),
  );
  const group = faces.map((_, f) => f);
  const rootOf = (f: number): number => {
    while (group[f] !== f) f = group[f];
    return f;
  };
  const neighbours = (f: number) =>
    faces[f].flatMap((a, i) => {
      const g = across.get(key(faces[f][(i + 1) % faces[f].length], a));
      return g === undefined ? [] : [g];
    });
  let merged = false;
  const join = (f: number, g: number) => {
    const [a, b] = [rootOf(f), rootOf(g)];
    group[Math.max(a, b)] = Math.min(a, b);
    merged = true;
  };
  const hasArea = (f: number) => planes[4 * f + 3] !== Infinity;
  faces.forEach((_, f) => {
    if (!hasArea(f)) return;
    for (const g of neighbours(f)) {
      if (g < f || !hasArea(g) || rootOf(f) === rootOf(g)) continue;
      if (liesIn(solid, planes, rootOf(f), g) && liesIn(solid, planes, rootOf(g), f)) join(f, g);
    }
  });
  // A face without area lies in the plane of any neighbour; a row of them is taken in from its ends.
  for (let left = faces.map((_, f) => f).filter((f) => !hasArea(f)); left.length > 0;) {
    const alone = left.filter((f) => {
      const host = neighbours(f).find((g) => hasArea(rootOf(g)));
      if (host === undefined) return true;
      const root = rootOf(host);
      group[f] = root;
      merged = true;
      return false;
    });
    if (alone.length === left.length) break;
    left = alone;
  }
  const roots = group.map((_, f) => rootOf(f));
  return withoutIdle(merged ? outlines(faces, roots) : faces);
}

/** The faces without corners that only two of them have: those lie on the edge between the two. */
function withoutIdle(faces: Polyhedron['faces']): Polyhedron['faces'] {
  const uses = new Map<number, number>();
  for (const face of faces) for (const v of face) uses.set(v, (uses.get(v) ?? 0) + 1);
  const idle = (v: number) => uses.get(v) === 2;
  if (![...uses.keys()].some(idle)) return faces;
  return faces.map((face) => face.filter((v) => !idle(v)));
}

/** Whether a face lies in the plane of another and looks the same way. */
function liesIn({ points, faces }: Polyhedron, planes: Float64Array, of: number, face: number) {
  const [i, k] = [4 * of, 4 * face];
  const [nx, ny, nz, offset] = [planes[i], planes[i + 1], planes[i + 2], planes[i + 3]];
  if (nx * planes[k] + ny * planes[k + 1] + nz * planes[k + 2] <= 0) return false;
  return faces[face].every((v) => {
    const [x, y, z] = points[v];
    return Math.abs(nx * x + ny * y + nz * z - offset) < FLAT;
  });
}

/** The outline of each group of faces; a group whose rim is no single loop stays in its parts. */
function outlines(faces: Polyhedron['faces'], roots: readonly number[]): Polyhedron['faces'] {
  const members = new Map<number, number[]>();
  roots.forEach((root, f) => {
    const list = members.get(root);
    if (list) list.push(f);
    else members.set(root, [f]);
  });
  return [...members.values()].flatMap((group) => {
    if (group.length === 1) return [faces[group[0]]];
    const rim = rimOf(group.map((f) => faces[f]));
    return rim ? [rim] : group.map((f) => faces[f]);
  });
}

/** The loop about faces that hang together, or null if there is not just one. */
function rimOf(faces: Polyhedron['faces']): number[] | null {
  const inner = new Set<string>();
  for (const face of faces)
    face.forEach((a, i) => inner.add(`${a} ${face[(i + 1) % face.length]}`));
  const next = new Map<number, number>();
  let edges = 0;
  for (const face of faces) {
    face.forEach((a, i) => {
      const b = face[(i + 1) % face.length];
      if (inner.has(`${b} ${a}`)) return;
      next.set(a, b);
      edges++;
    });
  }
  if (next.size !== edges || edges < 3) return null;
  const [first] = next.keys();
  const loop = [first];
  for (let v = next.get(first); v !== first; v = next.get(v)) {
    if (v === undefined || loop.length > edges) return null;
    loop.push(v);
  }
  return loop.length === edges ? loop : null;
}
