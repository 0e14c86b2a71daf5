import type { Course, Piece } from '../../course';
import type { Vec3 } from '../../geometry';
import { courseHash, NotRunnable, replay, type Run } from '../../run';
import { distanceToChange, type PieceChange } from './changes';

/** Most runs that are played to find out. */
const MOST_PLAYED = 40;

/** A course with some changes of its pieces undone. */
function undone(course: Course, changes: readonly PieceChange[]): Course {
  const by = new Map(changes.map((change) => [change.id, change]));
  const kept = course.pieces.flatMap((piece): Piece[] => {
    const change = by.get(piece.id);
    if (!change) return [piece];
    return change.before ? [change.before] : [];
  });
  const back = changes.flatMap(({ before, after }) => (before && !after ? [before] : []));
  return { ...course, pieces: [...kept, ...back] };
}

/**
 * The fewest of some changes that, undone, have a run lead through again: those because of which it ends. Found by
 * undoing and playing, each alone first, the nearest to where it ends before the others; then in ever smaller parts of
 * them all (delta debugging; Zeller and Hildebrandt, Simplifying and Isolating Failure-Inducing Input, 2002).
 * @param course the course as it is now
 * @param run the run, which does not lead through it
 * @param changes what of its pieces changed since it did
 * @param at where it ends, m
 * @returns one change, or several of which any may be the one; none where undoing all of them does not help
 */
export function culprits(
  course: Course,
  run: Run,
  changes: readonly PieceChange[],
  at: Vec3,
): readonly PieceChange[] {
  if (changes.length < 2) return changes;
  let left = MOST_PLAYED;
  const helps = (some: readonly PieceChange[]): boolean => {
    if (left-- <= 0) return false;
    const back = undone(course, some);
    try {
      return replay(back, { ...run, course: courseHash(back) }).finished;
    } catch (fault) {
      // Without its start there is nothing to play.
      if (fault instanceof NotRunnable) return false;
      throw fault;
    }
  };
  const near = [...changes].sort((a, b) => distanceToChange(a, at) - distanceToChange(b, at));
  if (!helps(near)) return [];
  const alone = near.slice(0, MOST_PLAYED / 2).find((change) => helps([change]));
  return alone ? [alone] : fewest(near, helps);
}

/** The fewest of a list that still help, by leaving out ever smaller parts of it. */
function fewest(
  all: readonly PieceChange[],
  helps: (some: readonly PieceChange[]) => boolean,
): readonly PieceChange[] {
  let [kept, parts] = [all, 2];
  while (kept.length > 1) {
    const size = Math.ceil(kept.length / parts);
    let less: readonly PieceChange[] | null = null;
    for (let from = 0; from < kept.length && !less; from += size) {
      const without = [...kept.slice(0, from), ...kept.slice(from + size)];
      if (without.length > 0 && helps(without)) less = without;
    }
    if (less) {
      kept = less;
      parts = Math.max(2, parts - 1);
    } else if (size === 1) break;
    else parts = Math.min(kept.length, 2 * parts);
  }
  return kept;
}
