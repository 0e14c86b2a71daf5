import type { Course, Piece } from './schema';

/**
 * What leads from one course to another: the pieces by their places, and the other fields as they were. What
 * did not change is not in it, so that thousands of steps of a large course cost what they changed.
 */
export interface CoursePatch {
  /** Places of the course it is made from whose pieces are not in the other, rising. */
  readonly without: readonly number[];
  /** Pieces of the other by their places there, rising, where they differ. */
  readonly pieces: readonly (readonly [number, Piece])[];
  /** All other fields that differ; those the other lacks are undefined. */
  readonly fields: Readonly<Record<string, unknown>>;
}

/** What leads from a course to another, with the very pieces of that. */
export function patchTo(from: Course, to: Course): CoursePatch {
  const fields: Record<string, unknown> = {};
  for (const key of new Set([...Object.keys(from), ...Object.keys(to)])) {
    if (key !== 'pieces' && from[key] !== to[key]) fields[key] = to[key];
  }
  return { ...piecesTo(from.pieces, to.pieces), fields };
}

function piecesTo(from: readonly Piece[], to: readonly Piece[]) {
  const without: number[] = [];
  const pieces: [number, Piece][] = [];
  const there = lazily(() => new Set(to));
  const here = lazily(() => new Set(from));
  let i = 0;
  let j = 0;
  while (i < from.length || j < to.length) {
    if (i === from.length) pieces.push([j, to[j++]]);
    else if (j === to.length) without.push(i++);
    else if (from[i] === to[j]) {
      i++;
      j++;
    } else if (from[i].id === to[j].id) {
      // Changed in its place, as most are: nothing has to be looked up.
      without.push(i++);
      pieces.push([j, to[j++]]);
    } else if (!there().has(from[i])) without.push(i++);
    else if (!here().has(to[j])) pieces.push([j, to[j++]]);
    else {
      // In both, but in another order: taken out and put in again.
      without.push(i);
      there().delete(from[i]);
      here().delete(from[i++]);
    }
  }
  return { without, pieces };
}

function lazily<T>(make: () => T): () => T {
  let made: T | undefined;
  return () => (made ??= make());
}

/** The course that a patch leads to from the one it was made from. */
export function applyPatch(course: Course, { without, pieces, fields }: CoursePatch): Course {
  const next: Record<string, unknown> = { ...course, ...fields };
  for (const key of Object.keys(fields)) if (next[key] === undefined) delete next[key];
  if (without.length === 0 && pieces.length === 0) return next as Course;
  const list: Piece[] = [];
  let gone = 0;
  let put = 0;
  for (let i = 0; i <= course.pieces.length; i++) {
    while (put < pieces.length && pieces[put][0] === list.length) list.push(pieces[put++][1]);
    if (i === course.pieces.length) break;
    if (without[gone] === i) gone++;
    else list.push(course.pieces[i]);
  }
  return { ...next, pieces: list } as Course;
}

/** About how many bytes a patch keeps in memory beside what the courses hold anyway. */
export const patchBytes = ({ without, pieces, fields }: CoursePatch): number =>
  200 + 8 * without.length + 100 * pieces.length + 100 * Object.keys(fields).length;
