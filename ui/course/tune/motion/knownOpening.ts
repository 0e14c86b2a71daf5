import type { Course } from '@/core/course';
import { phaseSeconds } from '@/core/edit';
import { type Opening, shiftedOpening } from '@/core/timing';

/** An opening, and the edition of the course it was found on. */
export interface KnownOpening {
  readonly course: Course;
  /** Null where the run does not come by the mover. */
  readonly opening: Opening | null;
}

/**
 * The opening of a mover on the course as it is now, where nothing but its phase has changed since it was found; null
 * where something else has.
 */
export function openingNow(
  { course: then, opening }: KnownOpening,
  now: Course,
  id: string,
): Opening | null {
  const { pieces: was, ...rules } = then;
  const { pieces, ...own } = now as Course & Record<string, unknown>;
  const sameRules = Object.keys({ ...rules, ...own }).every(
    (key) => (rules as Record<string, unknown>)[key] === own[key],
  );
  const before = new Map(was.map((piece) => [piece.id, piece]));
  const alike =
    sameRules &&
    was.length === pieces.length &&
    pieces.every(
      (piece) => piece === before.get(piece.id) || isPhased(piece, before.get(piece.id), id),
    );
  if (!alike || !opening) return null;
  return shiftedOpening(opening, phaseSeconds(now, id) - phaseSeconds(then, id));
}

type Piece = Course['pieces'][number];

/** Whether a piece is the one that is asked of, with nothing changed but when its motions begin. */
function isPhased(piece: Piece, before: Piece | undefined, id: string): boolean {
  if (!before || piece.id !== id) return false;
  const bare = ({ motion, params, ...rest }: Piece) => {
    const { phase: _, ...left } = params ?? {};
    return JSON.stringify({
      ...rest,
      motion: motion?.map((one) => ({ ...one, phase: 0 })),
      params: left,
    });
  };
  return bare(piece) === bare(before);
}
