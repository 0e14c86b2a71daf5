import type { Course, Piece } from '../course';
import { convexHull, facetedBall, isWithin, rounded, type Vec2 } from '../geometry';
import { contactShapes } from './contact';
import { localGeometry } from './geometry';

/** How far a piece's shape and its picture differ, seen on its profile. */
export interface Difference {
  /** Area that is in only one of the two, as a part of the picture's. */
  readonly area: number;
  /** Greatest distance from the rim of either to the other, m. */
  readonly distance: number;
}

/** Cells along the longer side of the profile that areas are counted in. */
const CELLS = 48;

/** The outlines of what is drawn of a piece and of what touches, on its profile (x, y). */
export function profileOf(
  course: Pick<Course, 'collides' | 'shapes' | 'allowances'>,
  piece: Piece,
): { readonly picture: Vec2[][]; readonly shapes: Vec2[][] } {
  const flat = (points: readonly (readonly [number, number, number])[]) =>
    convexHull(points.map(([x, y]): Vec2 => [x, y]));
  return {
    picture: localGeometry(piece).parts.map(({ solid }) => flat(solid.points)),
    shapes: contactShapes(course, piece).map(({ form }) =>
      form.kind === 'ball'
        ? flat(facetedBall(form.centre, form.radius).points)
        : flat((form.round ? rounded(form.solid, form.round) : form.solid).points),
    ),
  };
}

/** How far shape and picture differ; nothing for a piece that does not touch. */
export function diffPieces(
  course: Pick<Course, 'collides' | 'shapes' | 'allowances'>,
  piece: Piece,
): Difference | null {
  const { picture, shapes } = profileOf(course, piece);
  if (shapes.length === 0 || picture.length === 0) return null;
  const all = [...picture, ...shapes].flat();
  const [x0, y0] = [Math.min(...all.map(([x]) => x)), Math.min(...all.map(([, y]) => y))];
  const [x1, y1] = [Math.max(...all.map(([x]) => x)), Math.max(...all.map(([, y]) => y))];
  const cell = Math.max(x1 - x0, y1 - y0, 1e-6) / CELLS;
  const within = (rings: readonly Vec2[][], p: Vec2) =>
    rings.some((ring) => ring.length > 2 && isWithin(ring, p));
  let [drawn, apart] = [0, 0];
  for (let x = x0 + cell / 2; x < x1; x += cell) {
    for (let y = y0 + cell / 2; y < y1; y += cell) {
      const [a, b] = [within(picture, [x, y]), within(shapes, [x, y])];
      if (a) drawn++;
      if (a !== b) apart++;
    }
  }
  const farthest = (from: readonly Vec2[][], to: readonly Vec2[][]) =>
    Math.max(
      0,
      ...rimOf(from)
        .filter((p) => !within(to, p))
        .map((p) => Math.min(...to.map((ring) => toRing(p, ring)))),
    );
  return {
    area: drawn === 0 ? 1 : apart / drawn,
    distance: Math.max(farthest(picture, shapes), farthest(shapes, picture)),
  };
}

/** Points along outlines that lie on the rim of all of them together. */
const rimOf = (rings: readonly Vec2[][]): Vec2[] =>
  rings.flatMap((ring, k) =>
    ring.filter(
      (p) => !rings.some((other, i) => i !== k && other.length > 2 && isWithin(other, p)),
    ),
  );

function toRing([px, py]: Vec2, ring: readonly Vec2[]): number {
  let least = Infinity;
  ring.forEach(([ax, ay], i) => {
    const [bx, by] = ring[(i + 1) % ring.length];
    const [dx, dy] = [bx - ax, by - ay];
    const square = dx * dx + dy * dy;
    const k =
      square === 0 ? 0 : Math.min(1, Math.max(0, ((px - ax) * dx + (py - ay) * dy) / square));
    const [ox, oy] = [ax + dx * k - px, ay + dy * k - py];
    least = Math.min(least, Math.sqrt(ox * ox + oy * oy));
  });
  return least;
}
