import type { Course, Piece, Symmetry } from '../course';
import { distance } from '../geometry';
import { freshIds } from './ids';
import { removePieces } from './lay';
import { mirrorPiece, turnAbout } from './images';

/** How many images a symmetry makes of a piece, itself among them. */
export const imageCount = ({ kind }: Symmetry): number =>
  kind === 'turn-3' ? 3 : kind === 'turn-4' ? 4 : 2;

/** The piece moved on from one image to another. */
function imageOf<T extends Piece>(symmetry: Symmetry, piece: T, from: number, to: number): T {
  const { kind, at } = symmetry;
  if (from === to) return piece;
  if (kind === 'mirror-x') return mirrorPiece(piece, { axis: 'x', at: at[0] });
  if (kind === 'mirror-z') return mirrorPiece(piece, { axis: 'z', at: at[1] });
  const n = imageCount(symmetry);
  return turnAbout(piece, [at[0], at[1]], (360 * (to - from)) / n);
}

/**
 * Keeps a course symmetrical over an edit: what is new gets its images, what changed changes them,
 * what is gone takes them along. Pieces without a link are exempt. A piece on the axis has none.
 */
export function keepSymmetry(before: Course, after: Course): Course {
  const { symmetry } = after;
  if (!symmetry || before.pieces === after.pieces) return after;
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
        ...imageOf(symmetry, first, 0, i + 1),
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
        changed.set(other.id, {
          ...imageOf(symmetry, piece, image, other.twin.image),
          id: other.id,
          twin: other.twin,
        });
      }
    }
  }
  const pieces = after.pieces
    .filter(({ twin }) => !twin || !gone.has(twin.link))
    .map((piece) => changed.get(piece.id) ?? piece);
  return { ...after, pieces: [...pieces, ...images] };
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
