import type { Course } from '../../course';

/** A maker of ids no piece of the course has yet: p1, p2 and on from the highest in use. */
export function freshIds(course: Course): () => string {
  let highest = 0;
  for (const { id } of course.pieces) {
    const number = /^p(\d+)$/.exec(id);
    if (number) highest = Math.max(highest, Number(number[1]));
  }
  return () => `p${++highest}`;
}
