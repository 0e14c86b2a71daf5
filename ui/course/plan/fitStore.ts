import { create } from 'zustand';
import {
  chainOf,
  layPieces,
  placeOfPoint,
  raceOn,
  removePieces,
  sketchLines,
  type Fit,
  type SketchPoint,
} from '@/core/edit';
import type { Course, Piece } from '@/core/course';
import { distance, type Vec3 } from '@/core/geometry';
import { useCourse } from '../../state/courseStore';
import { noticeWithUndo } from '../open/undoNotice';

interface FitState {
  /** The course it was found for. */
  readonly id: string;
  /** The track found last, and the pieces it was laid as; null before there is one. */
  readonly found: Found | null;
}

interface Found {
  /** What the search said last, of the whole track or of the stretch laid anew. */
  readonly fit: Fit;
  /** All of the track, in the order of the way. */
  readonly ids: readonly string[];
  /** Which line of the sketch it follows. */
  readonly line: number;
  readonly stretch: boolean;
}

/** The track found for the sketch, as long as its course is open, whatever panel is. */
export const useFit = create<FitState>()(() => ({ id: '', found: null }));

/** The track found for the open course, as far as it is still there. */
export function fitOf(course: Course, id: string, { id: own, found }: FitState): FitState['found'] {
  if (!found || own !== id) return null;
  const there = new Set(course.pieces.map((piece) => piece.id));
  return found.ids.every((one) => there.has(one)) ? found : null;
}

/** Lays a track found, in place of the one found for that line before where it is still there: one step to undo. */
export function layFit(fit: Fit, line = 0): void {
  const { id, course } = useCourse.getState();
  const before = fitOf(course, id, useFit.getState());
  const ids = putIn(fit, before?.line === line ? before.ids : []);
  useFit.setState({ id, found: { fit, ids, line, stretch: false } });
}

/** Lays a stretch of track anew: one step to undo. The rest of a track found stays known as it was. */
export function layStretch(fit: Fit, chain: readonly string[]): void {
  const { id, course } = useCourse.getState();
  const before = fitOf(course, id, useFit.getState());
  const ids = putIn(fit, chain);
  const at = before ? before.ids.indexOf(chain[0]) : -1;
  if (!before || at < 0) return;
  const rest = before.ids.filter((one) => !chain.includes(one));
  useFit.setState({
    id,
    found: {
      ...before,
      fit,
      stretch: true,
      ids: [...rest.slice(0, at), ...ids, ...rest.slice(at)],
    },
  });
}

/** Lays the pieces found in the place of others; the ids of all that came. */
function putIn(fit: Fit, gone: readonly string[]): string[] {
  const { course, edit } = useCourse.getState();
  edit((now) => layPieces(gone.length > 0 ? removePieces(now, new Set(gone)) : now, fit.pieces));
  const known = new Set(course.pieces.map((piece) => piece.id));
  // With what symmetry has laid beside it.
  const { pieces } = useCourse.getState().course;
  return pieces.map((piece) => piece.id).filter((one) => !known.has(one));
}

/** Least way about a moved point that is laid anew, m. */
const ABOUT = 8;

/** The stretch of a track found that lies about a point of the sketch, as far as its neighbours reach. */
export function stretchAbout(
  course: Course,
  ids: readonly string[],
  point: SketchPoint,
): readonly Piece[] | null {
  const place = placeOfPoint(course.sketch, point);
  if (!place) return null;
  const { points, closed } = sketchLines(course.sketch)[point.line];
  const n = points.length;
  const beside = [-1, 1].flatMap((step): Vec3[] => {
    const k = point.index + step;
    const p = closed ? points[(k + n) % n] : points[k];
    return p ? [p as Vec3] : [];
  });
  const reach = Math.max(ABOUT, ...beside.map((p) => distance(p, place)));
  const byId = new Map(course.pieces.map((piece) => [piece.id, piece]));
  const near = ids.filter((one) => distance(byId.get(one)?.at ?? [Infinity, 0, 0], place) < reach);
  const [first, last] = [ids.indexOf(near[0]), ids.indexOf(near[near.length - 1])];
  return near.length === 0 ? null : chainOf(course, new Set(ids.slice(first, last + 1)));
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
  noticeWithUndo(
    found.fit.closed
      ? 'Start, goal and two checkpoints stand on the track; it is run in rounds.'
      : 'Start and goal stand at the ends of the track.',
  );
}
