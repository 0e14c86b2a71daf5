import {
  chosenOf,
  drawWall,
  movePost,
  onWorkPlane,
  panelAt,
  pickChoosable,
  postsOf,
  settleWall,
  snapToGrid,
} from '@/core/edit';
import type { Course, Piece } from '@/core/course';
import { distance, mapVec3, type Vec3 } from '@/core/geometry';
import { shortNumber } from '../../../parts';
import { pixelOf, rayAt, useView, type Tool } from '../../../scene';
import { endMerge, useCourse } from '../../../state/courseStore';

import { useLay } from '../layStore';
import { tryEdit } from '../../screen/tryEdit';

/** The place on the plane a pixel points at, on the grid; walls are drawn over the map. */
function placeAt(x: number, y: number): Vec3 | null {
  const ray = rayAt(useView.getState(), x, y);
  const { level, steps, snapping, snapSuspended } = useLay.getState();
  const p = onWorkPlane(ray, { axis: 'y', value: level });
  if (!p) return null;
  const [sx, , sz] = snapping && !snapSuspended ? steps : [0, 0, 0];
  return snapToGrid(p, [sx, 0, sz]);
}

/** The wall that is chosen, if one is. */
export function chosenWall({ course, choice } = useCourse.getState()): Piece | null {
  const chosen = chosenOf(course, choice);
  return chosen.length === 1 && chosen[0].line ? chosen[0] : null;
}

const near = (pixel: readonly [number, number] | null, x: number, y: number): boolean =>
  pixel !== null && Math.hypot(pixel[0] - x, pixel[1] - y) < 22;

/**
 * Draws walls: a drag lays a run, taps set one post after another until Done. With a wall chosen its
 * posts can be dragged, and a tap on it chooses the panel.
 */
export function wallTool(): Tool {
  let post: { id: string; index: number; base: Course } | null = null;
  let from: Vec3 | null = null;

  const lay = (a: Vec3, b: Vec3) => {
    const { choose, choice } = useCourse.getState();
    if (choice.size > 0) choose([]);
    const { wall, onGround } = useLay.getState();
    tryEdit((course) => {
      const drawn = drawWall(course, [a, b], wall);
      // The wall that the line made, or was added to.
      const made = drawn.pieces.find((piece, i) => piece !== course.pieces[i]);
      return made && onGround ? settleWall(drawn, made.id) : drawn;
    });
  };

  return {
    begin: (x, y) => {
      const { course } = useCourse.getState();
      const wall = chosenWall();
      const index = wall
        ? postsOf(wall).findIndex((p) => near(pixelOf(useView.getState(), p), x, y))
        : -1;
      post = wall && index >= 0 ? { id: wall.id, index, base: course } : null;
      if (post) useLay.getState().set({ post: index, panel: null });
      from = post ? null : placeAt(x, y);
      return post !== null || from !== null;
    },
    drag: (x, y) => {
      const to = placeAt(x, y);
      if (!to) return;
      if (post) {
        const { id, index, base } = post;
        const { onGround } = useLay.getState();
        useCourse.getState().edit(
          (course) => {
            const moved = movePost(course, id, index, to);
            return onGround ? settleWall(moved, id) : moved;
          },
          'drag',
          base,
        );
        return;
      }
      if (!from) return;
      useLay.getState().set({
        stroke: [from, to],
        measure: { at: to, words: `${shortNumber(Math.round(distance(from, to) * 100) / 100)} m` },
      });
    },
    drop: () => {
      const { stroke, set } = useLay.getState();
      if (!post && from && stroke.length > 1) lay(stroke[0], stroke[stroke.length - 1]);
      set({ stroke: [], measure: null });
      post = null;
      from = null;
      endMerge();
    },
    tap: (x, y) => {
      const { stroke, set } = useLay.getState();
      const { course, choose } = useCourse.getState();
      if (stroke.length === 0) {
        const under = pickChoosable(course, rayAt(useView.getState(), x, y));
        const piece = course.pieces.find(({ id }) => id === under?.id);
        if (under && piece?.line) {
          const ray = rayAt(useView.getState(), x, y);
          const hit = mapVec3((i) => ray.from[i] + ray.along[i] * under.t);
          const panel = panelAt(piece, hit);
          choose([piece.id]);
          set({ panel: panel && { run: panel.run, panel: panel.panel }, post: null });
          return;
        }
      }
      const at = placeAt(x, y);
      if (!at) return;
      const last = stroke[stroke.length - 1];
      if (last && distance(last, at) > 0.05) lay(last, at);
      choose([]);
      set({ stroke: [at], panel: null, post: null });
    },
  };
}
