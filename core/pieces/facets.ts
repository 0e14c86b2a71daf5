import { dot, faceNormal, type Vec3 } from '../geometry';
import type { Part, Tone } from './family';

/** A flat face that can be seen, with its edges that want an ink line. */
export interface Facet {
  readonly points: readonly Vec3[];
  readonly normal: Vec3;
  readonly tone: Tone;
  readonly moving: boolean;
  /** For the edge from each corner to the next: a number that both its faces share, or -1 for no line. */
  readonly ink: readonly number[];
}

/** Edges sharper than this get an ink line: the cosine of 28 degrees. */
const SHARP = 0.883;
const place = ([x, y, z]: Vec3): string =>
  `${Math.round(x * 1e4)},${Math.round(y * 1e4)},${Math.round(z * 1e4)}`;

/**
 * The faces of a piece that can be seen. Where two of its solids meet in the same face, as the
 * stretches of a bend do, neither is kept, and an edge between faces that go on smoothly is no edge.
 */
export function facetsOf(parts: readonly Part[]): Facet[] {
  const faces = parts.flatMap(({ solid, tone, moving = false, unseen }) => {
    if (unseen) return [];
    const names = solid.points.map(place);
    return solid.faces.map((face) => ({
      points: face.map((i) => solid.points[i]),
      names: face.map((i) => names[i]),
      normal: faceNormal(solid, face),
      tone,
      moving,
      name: [moving, ...face.map((i) => names[i]).sort()].join(' '),
    }));
  });
  const alike = new Map<string, number>();
  for (const { name } of faces) alike.set(name, (alike.get(name) ?? 0) + 1);
  const seen = faces.filter(({ name }) => alike.get(name) === 1);

  const edges = new Map<string, { id: number; tone: Tone; normals: Vec3[]; sharp: boolean }>();
  const edgeOf = (face: (typeof seen)[number], i: number) => {
    const [a, b] = [face.names[i], face.names[(i + 1) % face.names.length]];
    return `${face.moving}${a < b ? `${a} ${b}` : `${b} ${a}`}`;
  };
  for (const face of seen) {
    face.names.forEach((_, i) => {
      const key = edgeOf(face, i);
      const edge = edges.get(key);
      if (!edge) {
        edges.set(key, {
          id: edges.size,
          tone: face.tone,
          normals: [face.normal],
          sharp: false,
        });
        return;
      }
      edge.sharp ||=
        edge.tone !== face.tone || edge.normals.some((n) => dot(n, face.normal) < SHARP);
      edge.normals.push(face.normal);
    });
  }
  return seen.map((face) => ({
    points: face.points,
    normal: face.normal,
    tone: face.tone,
    moving: face.moving,
    ink: face.names.map((_, i) => {
      const { id, sharp, normals } = edges.get(edgeOf(face, i))!;
      return sharp || normals.length === 1 ? id : -1;
    }),
  }));
}
