import type { Course, Piece, Symmetry } from '../../course';
import { distance, type Vec3 } from '../../geometry';
import { freshIds } from '../pieces/ids';
import { removePieces } from '../pieces/lay';
import { mirrorPiece, turnAbout, turnedVector } from '../pieces/images';
import { mirroredVector } from '../pieces/mirrored';
import { copiedLink, MOST_PAIR, namedBy, pairOf, withLinks, withPair } from '../course/ties';

/** How many images a symmetry makes of a piece, itself among them. */
export const imageCount = ({ kind }: Symmetry): number =>
  kind === 'turn-3' ? 3 : kind === 'turn-4' ? 4 : 2;

/** The piece moved on from one image to another. */
function imageOf<T extends Piece>(
  symmetry: Symmetry,
  piece: T,
  from: number,
  to: number,
  shapes: Course['shapes'],
): T {
  const { kind, at } = symmetry;
  if (from === to) return piece;
  if (kind === 'mirror-x') return mirrorPiece(piece, { axis: 'x', at: at[0] }, shapes);
  if (kind === 'mirror-z') return mirrorPiece(piece, { axis: 'z', at: at[1] }, shapes);
  const n = imageCount(symmetry);
  return turnAbout(piece, [at[0], at[1]], (360 * (to - from)) / n);
}

/**
 * Keeps a course symmetrical over an edit: what is new gets its images, what changed changes them,
 * what is gone takes them along. Pieces without a link are exempt. A piece on the axis has none.
 */
export function keepSymmetry(before: Course, after: Course): Course {
  const { symmetry } = after;
  if (!symmetry || (before.pieces === after.pieces && before.links === after.links)) return after;
  const was = new Map(before.pieces.map((piece) => [piece.id, piece]));
  const now = new Map(after.pieces.map((piece) => [piece.id, piece]));
  const gone = new Set<string>();
  for (const { id, twin } of before.pieces) if (twin && !now.has(id)) gone.add(twin.link);

  const nextId = freshIds(after);
  const nextLink = freshLinks(after);
  const count = imageCount(symmetry);
  const done = new Set<string>();
  const images: Piece[] = [];
  const changed = new Map<string, Piece>();
  for (const piece of after.pieces) {
    if (was.get(piece.id) === piece) continue;
    if (!was.has(piece.id) && !piece.twin) {
      const first: Piece = { ...piece, twin: { link: nextLink(), image: 0 } };
      const others = Array.from({ length: count - 1 }, (_, i) => ({
        ...imageOf(symmetry, first, 0, i + 1, after.shapes),
        id: nextId(),
        twin: { link: first.twin!.link, image: i + 1 },
      }));
      // A start is alone, and what lies on the axis is its own image.
      if (piece.family === 'start' || others.some(({ at }) => distance(at, piece.at) < 1e-4)) {
        continue;
      }
      changed.set(piece.id, first);
      images.push(...others);
    } else if (piece.twin && !done.has(piece.twin.link)) {
      const { link, image } = piece.twin;
      done.add(link);
      for (const other of after.pieces) {
        if (other.twin?.link !== link || other.id === piece.id) continue;
        const next = imageOf(symmetry, piece, image, other.twin.image, after.shapes);
        const pair = pairOf(other);
        changed.set(other.id, {
          // Each image keeps the number it acts by.
          ...(pair === null ? next : withPair(next, pair)),
          id: other.id,
          twin: other.twin,
        });
      }
    }
  }
  const pieces = after.pieces
    .filter(({ twin }) => !twin || !gone.has(twin.link))
    .map((piece) => changed.get(piece.id) ?? piece);
  return tieImages(before, { ...after, pieces: [...pieces, ...images] }, images);
}

/**
 * Ties images among themselves as what they are images of is: they go along with the image of its host, act
 * together by numbers of their own, and are linked by a link's images.
 * @param fresh images made by this edit
 */
function tieImages(before: Course, course: Course, fresh: readonly Piece[]): Course {
  const { symmetry } = course;
  const byId = new Map(course.pieces.map((piece) => [piece.id, piece]));
  const byTwin = new Map(
    course.pieces.flatMap((piece) =>
      piece.twin ? [[`${piece.twin.link} ${piece.twin.image}`, piece] as const] : [],
    ),
  );
  /** The image of a piece that stands where another stands, or the piece itself where it has none. */
  const counterpart = (id: string, image: number): string => {
    const twin = byId.get(id)?.twin;
    return (twin && byTwin.get(`${twin.link} ${image}`)?.id) ?? id;
  };
  // Numbers that images of a number carry: as those made before do, else new ones.
  const made = new Set(fresh.map(({ id }) => id));
  const numbers = new Map<string, number>();
  for (const piece of course.pieces) {
    const pair = pairOf(piece);
    if (pair === null || !piece.twin || piece.twin.image === 0 || made.has(piece.id)) continue;
    const first = byTwin.get(`${piece.twin.link} 0`);
    if (first) numbers.set(`${pairOf(first)} ${piece.twin.image}`, pair);
  }
  const numberOf = (pair: number, image: number): number => {
    const key = `${pair} ${image}`;
    let number = numbers.get(key);
    if (number === undefined) {
      const taken = new Set([...course.pieces.map(pairOf), ...numbers.values()]);
      number = 1;
      while (taken.has(number)) number++;
      if (number > MOST_PAIR) number = pair;
      numbers.set(key, number);
    }
    return number;
  };
  const pieces = course.pieces.map((piece) => {
    const { twin, attach } = piece;
    if (!twin) return piece;
    const host = attach === undefined ? undefined : counterpart(attach, twin.image);
    const tied = host === attach ? piece : { ...piece, attach: host };
    const pair = made.has(piece.id) ? pairOf(piece) : null;
    return pair === null ? tied : withPair(tied, numberOf(pair, twin.image));
  });
  const known = new Set(before.links?.map(({ id }) => id));
  const links = (course.links ?? []).flatMap((link) => {
    if (known.has(link.id)) return [];
    const images = namedBy(link).map((id) => byId.get(id)?.twin?.image);
    const [own] = images;
    if (own === undefined || images.some((image) => image !== own)) return [];
    return Array.from({ length: imageCount(symmetry!) }, (_, image) => image)
      .filter((image) => image !== own)
      .map((image) =>
        copiedLink(
          link,
          (id) => counterpart(id, image),
          (v) => vectorOf(symmetry!, v, own, image),
        ),
      );
  });
  return withLinks({ ...course, pieces }, links);
}

/** A direction of the world moved on from one image to another. */
function vectorOf(symmetry: Symmetry, v: Vec3, from: number, to: number): [number, number, number] {
  if (symmetry.kind === 'mirror-x') return mirroredVector(v, 'x');
  if (symmetry.kind === 'mirror-z') return mirroredVector(v, 'z');
  return turnedVector(v, (360 * (to - from)) / imageCount(symmetry));
}

/** Takes the chosen pieces, or all, out of their links; the copies stay where they are. */
export function unlinkPieces(course: Course, choice?: ReadonlySet<string>): Course {
  const links = new Set(
    course.pieces.filter(({ id }) => !choice || choice.has(id)).map(({ twin }) => twin?.link),
  );
  return {
    ...course,
    pieces: course.pieces.map((piece) => {
      if (!piece.twin || !links.has(piece.twin.link)) return piece;
      const { twin: _, ...rest } = piece;
      return rest as Piece;
    }),
  };
}

/** Takes the chosen pieces out of the symmetry: they stay, and their images go. */
export function exemptPieces(course: Course, choice: ReadonlySet<string>): Course {
  const links = new Set<string>();
  for (const { id, twin } of course.pieces) if (twin && choice.has(id)) links.add(twin.link);
  if (links.size === 0) return course;
  const apart = unlinkPieces(course, choice);
  const images = new Set(
    course.pieces.flatMap(({ id, twin }) =>
      twin && links.has(twin.link) && !choice.has(id) ? [id] : [],
    ),
  );
  return removePieces(apart, images);
}

/** Turns symmetry on with an axis, or off, which unlinks every copy and leaves it. */
export function setSymmetry(course: Course, symmetry: Symmetry | null): Course {
  const { symmetry: _, ...rest } = unlinkPieces(course);
  return symmetry ? { ...rest, symmetry } : (rest as Course);
}

function freshLinks(course: Course): () => string {
  let highest = 0;
  for (const { twin } of course.pieces) {
    const number = /^t(\d+)$/.exec(twin?.link ?? '');
    if (number) highest = Math.max(highest, Number(number[1]));
  }
  return () => `t${++highest}`;
}
