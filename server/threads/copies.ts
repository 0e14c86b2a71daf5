import { hash } from 'node:crypto';
import type { Course } from '@/core/course';

/** Fewest pieces of a course that can be told from another by them. */
const FEWEST = 6;
/** Metres of which places are told. */
const STEP = 0.01;

/**
 * Short digests of a course's pieces, by which copies of it are told: of what each is and where it stands to the start,
 * whatever it is called. Empty for a course of too few pieces to tell.
 */
export function pieceMarks(course: Course): readonly string[] {
  if (course.pieces.length < FEWEST) return [];
  const from = (course.pieces.find(({ family }) => family === 'start') ?? course.pieces[0]).at;
  return course.pieces.map(({ family, at, turn, size, params }) => {
    const place = at.map((v, i) => Math.round((v - from[i]) / STEP));
    const told = JSON.stringify([family, place, turn ?? null, size ?? null, params ?? null]);
    return hash('sha1', told).slice(0, 16);
  });
}

/**
 * The marks by which copies of a course kept whole are found: of its own pieces only, without those of the course it
 * was copied from. Empty where it may be copied, or has too few pieces of its own.
 */
export function wholeMarks(course: Course, origin: Course | null): readonly string[] {
  if (course.mayCopy !== false) return [];
  const others = new Set(origin ? pieceMarks(origin) : []);
  const own = [...new Set(pieceMarks(course))].filter((mark) => !others.has(mark));
  return own.length < FEWEST ? [] : own;
}
