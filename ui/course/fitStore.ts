import { create } from 'zustand';
import { layPieces, raceOn, removePieces, type Fit } from '@/core/assemble';
import type { Course } from '@/core/course';
import { tell } from '../parts';
import { useCourse } from '../state/courseStore';

interface FitState {
  /** The course it was found for. */
  readonly id: string;
  /** The track found last, and the pieces it was laid as; null before there is one. */
  readonly found: { readonly fit: Fit; readonly ids: readonly string[] } | null;
}

/** The track found for the sketch, as long as its course is open, whatever panel is. */
export const useFit = create<FitState>()(() => ({ id: '', found: null }));

/** The track found for the open course, as far as it is still there. */
export function fitOf(course: Course, id: string, { id: own, found }: FitState): FitState['found'] {
  if (!found || own !== id) return null;
  const there = new Set(course.pieces.map((piece) => piece.id));
  return found.ids.every((one) => there.has(one)) ? found : null;
}

/** Lays a track found, in place of the one found before where that is still there: one step to undo. */
export function layFit(fit: Fit): void {
  const { id, course, edit } = useCourse.getState();
  const before = fitOf(course, id, useFit.getState());
  edit((now) => layPieces(before ? removePieces(now, new Set(before.ids)) : now, fit.pieces));
  const known = new Set(course.pieces.map((piece) => piece.id));
  // With what symmetry has laid beside it.
  const { pieces } = useCourse.getState().course;
  const ids = pieces.map((piece) => piece.id).filter((one) => !known.has(one));
  useFit.setState({ id, found: { fit, ids } });
}

/** Takes the track found away again, and nothing else. */
export function dropFit(): void {
  const { id, course, edit } = useCourse.getState();
  const found = fitOf(course, id, useFit.getState());
  if (found) edit((now) => removePieces(now, new Set(found.ids)));
  keepFit();
}

/** What was found stays, and is no longer asked about. */
export const keepFit = (): void => useFit.setState({ found: null });

/** Puts start, goal and checkpoints on the track found and has the course be run on it: one step to undo. */
export function raceOnFit(): void {
  const { id, course, edit } = useCourse.getState();
  const found = fitOf(course, id, useFit.getState());
  if (!found) return;
  edit((now) => raceOn(now, found.ids, found.fit.closed));
  keepFit();
  tell(
    found.fit.closed
      ? 'Start, goal and two checkpoints stand on the track; it is run in rounds.'
      : 'Start and goal stand at the ends of the track.',
    { label: 'Undo', act: () => useCourse.getState().undo() },
  );
}
