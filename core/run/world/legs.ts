import type { Course } from '../../course';
import { distance, type Vec3 } from '../../geometry';
import { checkpointNumber, legOf, markOf, type Mark } from '../../pieces';

const RANKS: Readonly<Record<Mark, number>> = { start: 0, checkpoint: 1, goal: 2 };

/** The marks of each leg in the order they are run past: its start, its checkpoints, its goal. */
export function legMarks(course: Pick<Course, 'pieces' | 'legs'>): Vec3[][] {
  const count = Math.max(1, course.legs?.length ?? 1);
  const marks = course.pieces
    .flatMap((piece) => {
      const mark = markOf(piece);
      return mark ? [{ piece, rank: RANKS[mark] }] : [];
    })
    .sort((a, b) => a.rank - b.rank || checkpointNumber(a.piece) - checkpointNumber(b.piece))
    .map(({ piece }) => piece);
  return Array.from({ length: count }, (_, leg) =>
    marks.filter((piece) => count === 1 || legOf(piece) === leg + 1).map(({ at }): Vec3 => at),
  );
}

/**
 * How far a place is from a line, m; the number of the point before the nearest place on the line, and how far that is
 * on to the next, 0 to 1.
 */
export function nearestOf(
  line: readonly Vec3[],
  at: Vec3,
): { far: number; after: number; part: number } {
  let [far, after, part] = [line.length > 0 ? distance(line[0], at) : Infinity, 0, 0];
  for (let i = 1; i < line.length; i++) {
    const [a, b] = [line[i - 1], line[i]];
    const along = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
    const square = along[0] * along[0] + along[1] * along[1] + along[2] * along[2];
    const off = [at[0] - a[0], at[1] - a[1], at[2] - a[2]];
    const dot = off[0] * along[0] + off[1] * along[1] + off[2] * along[2];
    const k = square === 0 ? 0 : Math.min(1, Math.max(0, dot / square));
    const gap = distance([a[0] + along[0] * k, a[1] + along[1] * k, a[2] + along[2] * k], at);
    if (gap < far) [far, after, part] = [gap, i - 1, k];
  }
  return { far, after, part };
}

/** For each place the leg, from 0, whose marks' line passes it nearest: what is laid there belongs to it. */
export function legsNear(
  course: Pick<Course, 'pieces' | 'legs'>,
  places: readonly Vec3[],
): number[] {
  const lines = legMarks(course);
  return places.map((at) => {
    const gaps = lines.map((line) => nearestOf(line, at).far);
    return gaps.indexOf(Math.min(...gaps));
  });
}
