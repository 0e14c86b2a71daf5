import type { Course, Piece } from '../../course';
import { legOf, markOf, type Mark } from '../../pieces';

/** Most legs a course may have. */
export const MOST_LEGS = 18;

/** The leg that a checkpoint laid next belongs to: the first that has no goal yet, else the last begun. */
export function checkpointLeg(course: Pick<Course, 'pieces' | 'legs'>): number {
  if (!course.legs) return 1;
  const ended = course.pieces.filter((piece) => markOf(piece) === 'goal').map(legOf);
  const begun = course.pieces.filter((piece) => markOf(piece) === 'start').map(legOf);
  const open = begun.filter((leg) => !ended.includes(leg)).sort((a, b) => a - b);
  return open[0] ?? Math.max(1, ...begun);
}

/**
 * The leg that a start or goal laid next belongs to: every start after the first begins another leg, unless
 * a run takes one of several, and a goal ends the first leg that has a start and none yet.
 * @returns null when all legs there may be have begun
 */
export function nextLeg(
  { pieces, starts }: Pick<Course, 'pieces' | 'starts'>,
  mark: 'start' | 'goal',
) {
  const legsWith = (wanted: Mark) =>
    new Set(pieces.filter((piece) => markOf(piece) === wanted).map(legOf));
  const [begun, ended] = [legsWith('start'), legsWith('goal')];
  const all = Array.from({ length: MOST_LEGS }, (_, i) => i + 1);
  if (mark === 'start' && starts) return Math.max(1, ...begun);
  if (mark === 'start') return all.find((leg) => !begun.has(leg)) ?? null;
  return all.find((leg) => begun.has(leg) && !ended.has(leg)) ?? 1;
}

/** The legs of a course of which so many are needed; those it has stay as they are. */
export const withLegs = (
  { legs = [], kind }: Pick<Course, 'legs' | 'kind'>,
  needed: number,
): NonNullable<Course['legs']> => [
  ...legs,
  ...Array.from({ length: Math.max(0, needed - legs.length) }, () =>
    kind === 'strokes' ? { par: 3 } : {},
  ),
];

/** A piece on another leg. */
function onLeg(piece: Piece, leg: number): Piece {
  if (piece.mark?.leg !== undefined) return { ...piece, mark: { ...piece.mark, leg } };
  return { ...piece, params: { ...piece.params, leg } };
}

/**
 * The course with the starts of legs that nobody can end moved to the leg before, of which they are further starts.
 * Legs at the end that are empty by that go; whatever its maker named, or never began, stays. Before a course had
 * several starts, each one laid began a leg.
 */
export function gatherStarts(course: Course): Course {
  const markedOn = (mark: Mark) =>
    course.pieces.filter((piece) => markOf(piece) === mark).map(legOf);
  const ended = new Set(markedOn('goal'));
  const target = (leg: number) => {
    for (let before = leg; before > 1; before--) if (ended.has(before)) return before;
    return 1;
  };
  const emptied = new Set(markedOn('start').filter((leg) => leg !== target(leg)));
  if (emptied.size === 0) return course;
  for (const leg of [...ended, ...markedOn('checkpoint')]) emptied.delete(leg);
  const pieces = course.pieces.map((piece) => {
    const leg = legOf(piece);
    return markOf(piece) === 'start' && leg !== target(leg) ? onLeg(piece, target(leg)) : piece;
  });
  const { legs, ...rest } = course;
  const left = [...(legs ?? [])];
  while (emptied.has(left.length) && left[left.length - 1].name === undefined) left.pop();
  const isPlain = left.length === 0 || (left.length === 1 && Object.keys(left[0]).length === 0);
  return { ...rest, pieces, ...(isPlain ? {} : { legs: left }) };
}
