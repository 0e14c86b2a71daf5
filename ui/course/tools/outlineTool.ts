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
} from '@/core/edit';
import type { Course, Piece } from '@/core/course';
import { add, distance, rotate, scale, type Vec3 } from '@/core/geometry';
import { turnOf } from '@/core/pieces';
import { numberText, showToast } from '../../parts';
import { pixelOf, rayAt, useView, type Tool } from '../../scene';
import { endMerge, useCourse } from '../../state/courseStore';
import { planeNow, toGrid } from './landing';
import { useLay } from '../open/laying';

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
  return p && toGrid(p);
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
  const { steps, snapping, snapSuspended } = useLay.getState();
  return inPlane(piece, snapping && !snapSuspended ? snapToGrid(hit, steps) : hit);
}

/** Does an edit of an outline; what is refused is said, with its place marked in the scene. */
export function tryOutline(
  change: (course: Course) => Course,
  merge?: string,
  from?: Course,
): void {
  const { edit } = useCourse.getState();
  const { showFault } = useLay.getState();
  try {
    edit(change, merge, from);
    showFault(null);
  } catch (problem) {
    if (!(problem instanceof OutlineError)) throw problem;
    if (problem.at) showFault({ at: problem.at, words: problem.message });
    else showToast(problem.message);
  }
}

/** Lays the outline drawn so far as a platform. */
export function closeOutline(): void {
  const { stroke, platform, drawStroke } = useLay.getState();
  const before = useCourse.getState().course;
  tryOutline((course) => layPlatform(course, stroke, planeNow(), platform));
  const { course, choose } = useCourse.getState();
  if (course === before) return;
  drawStroke([]);
  choose([course.pieces[before.pieces.length].id]);
}

const isNear = (p: Vec3, x: number, y: number, reach = 22): boolean => {
  const pixel = pixelOf(useView.getState(), p);
  return pixel !== null && Math.hypot(pixel[0] - x, pixel[1] - y) < reach;
};

type Place = readonly [number, number];

/** The edge of a platform's rim that a pixel lies on, away from its middle and its corners. */
function edgeAt(piece: Piece, x: number, y: number): { rim: Rim; index: number } | null {
  const view = useView.getState();
  for (const { rim, index, edge, at } of rimPointsOf(piece)) {
    if (!edge) continue;
    const corners = rim === 'outer' ? piece.outline!.points : piece.outline!.holes![rim];
    const [a, b] = [corners[index], corners[(index + 1) % corners.length]].map((corner) =>
      pixelOf(view, cornerPlace(piece, [corner.at[0], corner.at[1]])),
    );
    if (!a || !b || !pixelOf(view, at)) continue;
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
    const square = dx * dx + dy * dy;
    const part = square === 0 ? 0 : ((x - a[0]) * dx + (y - a[1]) * dy) / square;
    if (part < 0.08 || part > 0.92) continue;
    const away = Math.abs((x - a[0]) * dy - (y - a[1]) * dx) / Math.sqrt(square);
    if (away < ON_EDGE) return { rim, index };
  }
  return null;
}

/** How near an edge a finger takes hold of it, pixels. */
const ON_EDGE = 15;

/** Pushes an edge out or in as far as a finger has gone along its normal. */
function dragEdge(
  {
    id,
    rim,
    index,
    base,
    from,
  }: { id: string; rim: Rim; index: number; base: Course; from: Place },
  x: number,
  y: number,
): void {
  const piece = base.pieces.find((p) => p.id === id)!;
  const to = onTop(piece, x, y);
  if (!to) return;
  const corners = rim === 'outer' ? piece.outline!.points : piece.outline!.holes![rim];
  const [a, b] = [corners[index].at, corners[(index + 1) % corners.length].at];
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  const normal: Place = [(b[1] - a[1]) / length, -(b[0] - a[0]) / length];
  const by = (to[0] - from[0]) * normal[0] + (to[1] - from[1]) * normal[1];
  const step = useLay.getState().snapping ? useLay.getState().steps[0] || 0.01 : 0.01;
  const even = Math.round(by / step) * step;
  useLay.getState().showMeasure({
    at: cornerPlace(piece, to),
    words: `${numberText(Math.round(even * 100) / 100)} m`,
  });
  const moved = (at: readonly number[]): [number, number] => [
    at[0] + normal[0] * even,
    at[1] + normal[1] * even,
  ];
  tryOutline(
    (course) =>
      moveCorner(
        moveCorner(course, id, rim, index, moved(a)),
        id,
        rim,
        (index + 1) % corners.length,
        moved(b),
      ),
    'drag',
    base,
  );
}

/**
 * Draws platforms: taps set corners, a tap on the first closes them. With a platform chosen its corners
 * are dragged, the middles of its edges drawn out to new ones, and the edges themselves pushed out and in.
 */
export function outlineTool(): Tool {
  let held: { id: string; rim: Rim; index: number; base: Course } | null = null;
  let edge: { id: string; rim: Rim; index: number; base: Course; from: Place } | null = null;
  return {
    begin: (x, y) => {
      const { course } = useCourse.getState();
      const piece = chosenPlatform();
      const point =
        piece && rimPointsOf(piece).find(({ at, edge }) => isNear(at, x, y, edge ? 18 : 22));
      held = null;
      edge = null;
      const side = piece && !point ? edgeAt(piece, x, y) : null;
      const from = side && onTop(piece!, x, y);
      if (side && from) {
        edge = { id: piece!.id, ...side, base: course, from };
        return true;
      }
      if (!piece || !point) return useLay.getState().stroke.length > 0;
      let { index } = point;
      let base = course;
      if (point.edge) {
        base = splitEdge(course, piece.id, point.rim, point.index);
        index = point.index + 1;
      }
      held = { id: piece.id, rim: point.rim, index, base };
      useLay.getState().chooseCorner({ rim: point.rim, index });
      return true;
    },
    drag: (x, y) => {
      if (edge) dragEdge(edge, x, y);
      if (!held) return;
      const { id, rim, index, base } = held;
      const piece = base.pieces.find((p) => p.id === id)!;
      const to = onTop(piece, x, y);
      if (to) tryOutline((course) => moveCorner(course, id, rim, index, to), 'drag', base);
    },
    drop: () => {
      held = null;
      edge = null;
      useLay.getState().showMeasure(null);
      endMerge();
    },
    tap: (x, y) => {
      const { stroke, chooseCorner, drawStroke, showFault } = useLay.getState();
      const { course, choose } = useCourse.getState();
      showFault(null);
      if (stroke.length === 0) {
        const piece = chosenPlatform();
        const point = piece && rimPointsOf(piece).find(({ at }) => isNear(at, x, y));
        if (point) {
          chooseCorner({ rim: point.rim, index: point.index });
          return;
        }
        const under = pickChoosable(course, rayAt(useView.getState(), x, y));
        const found = course.pieces.find(({ id }) => id === under?.id);
        if (found?.outline) {
          choose([found.id]);
          chooseCorner(null);
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
      drawStroke([...stroke, p]);
      chooseCorner(null);
    },
  };
}
