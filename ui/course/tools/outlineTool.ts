import {
  chosenOf,
  cornerPlace,
  inPlane,
  layPlatform,
  moveCorner,
  onWorkPlane,
  OutlineError,
  pickChoosable,
  snapToGrid,
  splitEdge,
  type Rim,
} from '@/core/assemble';
import type { Course, Piece } from '@/core/course';
import { add, distance, rotate, scale, type Vec3 } from '@/core/geometry';
import { turnOf } from '@/core/pieces';
import { tell } from '../../parts';
import { pixelOf, rayAt, useView, type Tool } from '../../scene';
import { endMerge, useCourse } from '../../state/courseStore';
import { planeNow, snapNow } from '../landing';
import { useLay } from '../layStore';

/** The platform that is chosen, if one is. */
export function chosenPlatform({ course, choice } = useCourse.getState()): Piece | null {
  const chosen = chosenOf(course, choice);
  return chosen.length === 1 && chosen[0].outline ? chosen[0] : null;
}

/** A corner, or the middle of the edge that begins there, of a platform as it stands. */
export interface RimPoint {
  readonly rim: Rim;
  readonly index: number;
  readonly edge: boolean;
  readonly at: Vec3;
}

/** All corners and edge middles of a platform. */
export function rimPointsOf(piece: Piece): RimPoint[] {
  const { points, holes } = piece.outline!;
  return [points, ...(holes ?? [])].flatMap((corners, r) =>
    corners.flatMap((corner, index): RimPoint[] => {
      const rim: Rim = r === 0 ? 'outer' : r - 1;
      const next = corners[(index + 1) % corners.length];
      const a = cornerPlace(piece, [corner.at[0], corner.at[1]]);
      const b = cornerPlace(piece, [next.at[0], next.at[1]]);
      return [
        { rim, index, edge: false, at: a },
        { rim, index, edge: true, at: scale(add(a, b), 0.5) },
      ];
    }),
  );
}

const placeAt = (x: number, y: number): Vec3 | null => {
  const p = onWorkPlane(rayAt(useView.getState(), x, y), planeNow());
  return p && snapToGrid(p, snapNow().steps);
};

/** Where a ray meets the plane of a platform's top, in the platform's own frame, on the grid. */
function onTop(piece: Piece, x: number, y: number): readonly [number, number] | null {
  const ray = rayAt(useView.getState(), x, y);
  const turn = turnOf(piece);
  const up = rotate(turn, [0, 1, 0]);
  const top = cornerPlace(piece, [0, 0]);
  const pace = up[0] * ray.along[0] + up[1] * ray.along[1] + up[2] * ray.along[2];
  if (Math.abs(pace) < 1e-6) return null;
  const gap = [0, 1, 2].reduce((sum, i) => sum + (top[i] - ray.from[i]) * up[i], 0);
  const hit = add(ray.from, scale(ray.along, gap / pace));
  const { steps, snapping, letGo } = useLay.getState();
  return inPlane(piece, snapping && !letGo ? snapToGrid(hit, steps) : hit);
}

/** Does an edit of an outline; what is refused is said, with its place marked in the scene. */
export function tryOutline(
  change: (course: Course) => Course,
  merge?: string,
  from?: Course,
): void {
  const { edit } = useCourse.getState();
  const { set } = useLay.getState();
  try {
    edit(change, merge, from);
    set({ fault: null });
  } catch (problem) {
    if (!(problem instanceof OutlineError)) throw problem;
    if (problem.at) set({ fault: { at: problem.at, words: problem.message } });
    else tell(problem.message);
  }
}

/** Lays the outline drawn so far as a platform. */
export function closeOutline(): void {
  const { stroke, platform, set } = useLay.getState();
  const before = useCourse.getState().course;
  tryOutline((course) => layPlatform(course, stroke, planeNow(), platform));
  const { course, choose } = useCourse.getState();
  if (course === before) return;
  set({ stroke: [] });
  choose([course.pieces[before.pieces.length].id]);
}

const isNear = (p: Vec3, x: number, y: number, reach = 22): boolean => {
  const pixel = pixelOf(useView.getState(), p);
  return pixel !== null && Math.hypot(pixel[0] - x, pixel[1] - y) < reach;
};

/**
 * Draws platforms: taps set corners, a tap on the first closes them. With a platform chosen its corners
 * are dragged, and the middles of its edges drawn out to new ones.
 */
export function outlineTool(): Tool {
  let held: { id: string; rim: Rim; index: number; base: Course } | null = null;
  return {
    begin: (x, y) => {
      const { course } = useCourse.getState();
      const piece = chosenPlatform();
      const point =
        piece && rimPointsOf(piece).find(({ at, edge }) => isNear(at, x, y, edge ? 18 : 22));
      held = null;
      if (!piece || !point) return useLay.getState().stroke.length > 0;
      let { index } = point;
      let base = course;
      if (point.edge) {
        base = splitEdge(course, piece.id, point.rim, point.index);
        index = point.index + 1;
      }
      held = { id: piece.id, rim: point.rim, index, base };
      useLay.getState().set({ corner: { rim: point.rim, index } });
      return true;
    },
    drag: (x, y) => {
      if (!held) return;
      const { id, rim, index, base } = held;
      const piece = base.pieces.find((p) => p.id === id)!;
      const to = onTop(piece, x, y);
      if (to) tryOutline((course) => moveCorner(course, id, rim, index, to), 'drag', base);
    },
    drop: () => {
      held = null;
      endMerge();
    },
    tap: (x, y) => {
      const { stroke, set } = useLay.getState();
      const { course, choose } = useCourse.getState();
      set({ fault: null });
      if (stroke.length === 0) {
        const piece = chosenPlatform();
        const point = piece && rimPointsOf(piece).find(({ at }) => isNear(at, x, y));
        if (point) {
          set({ corner: { rim: point.rim, index: point.index } });
          return;
        }
        const under = pickChoosable(course, rayAt(useView.getState(), x, y));
        const found = course.pieces.find(({ id }) => id === under?.id);
        if (found?.outline) {
          choose([found.id]);
          set({ corner: null });
          return;
        }
      }
      if (stroke.length > 2 && isNear(stroke[0], x, y)) {
        closeOutline();
        return;
      }
      const p = placeAt(x, y);
      if (!p || (stroke.length > 0 && distance(p, stroke[stroke.length - 1]) < 0.01)) return;
      choose([]);
      set({ stroke: [...stroke, p], corner: null });
    },
  };
}
