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
import { shortNumber } from '../../parts';
import { pixelOf, rayAt, useView, type Tool } from '../../scene';
import { endMerge, useCourse } from '../../state/courseStore';

import { useLay } from '../open/laying';
import { tryEdit } from '../open/tryEdit';

/** Posts nearer to each other than this are one, m. */
const LEAST_RUN = 0.05;

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

/** The post of the chosen wall that a finger is on. */
function postAt(x: number, y: number): { readonly id: string; readonly index: number } | null {
  const wall = chosenWall();
  if (!wall) return null;
  const view = useView.getState();
  const index = postsOf(wall).findIndex((post) => near(pixelOf(view, post), x, y));
  return index >= 0 ? { id: wall.id, index } : null;
}

/** The wall under a finger and the panel of it that is touched. */
function panelUnder(x: number, y: number) {
  const { course } = useCourse.getState();
  const ray = rayAt(useView.getState(), x, y);
  const under = pickChoosable(course, ray);
  const piece = course.pieces.find(({ id }) => id === under?.id);
  if (!under || !piece?.line) return null;
  const hit = mapVec3((i) => ray.from[i] + ray.along[i] * under.t);
  return { id: piece.id, panel: panelAt(piece, hit) };
}

function layRun(from: Vec3, to: Vec3): void {
  const { choose, choice } = useCourse.getState();
  if (choice.size > 0) choose([]);
  const { wall, onGround } = useLay.getState();
  tryEdit((course) => {
    const drawn = drawWall(course, [from, to], wall);
    // The wall that the line made, or was added to.
    const made = drawn.pieces.find((piece, i) => piece !== course.pieces[i]);
    return made && onGround ? settleWall(drawn, made.id) : drawn;
  });
}

function dragPost(base: Course, id: string, index: number, to: Vec3): void {
  const { onGround } = useLay.getState();
  const moved = (course: Course) => {
    const next = movePost(course, id, index, to);
    return onGround ? settleWall(next, id) : next;
  };
  useCourse.getState().edit(moved, 'drag', base);
}

function tapWall(x: number, y: number): void {
  const { stroke, choosePanel, choosePost, drawStroke } = useLay.getState();
  const { choose } = useCourse.getState();
  const touched = stroke.length === 0 ? panelUnder(x, y) : null;
  if (touched) {
    const { id, panel } = touched;
    choose([id]);
    return choosePanel(panel && { run: panel.run, panel: panel.panel });
  }
  const at = placeAt(x, y);
  if (!at) return;
  const last = stroke[stroke.length - 1];
  if (last && distance(last, at) > LEAST_RUN) layRun(last, at);
  choose([]);
  drawStroke([at]);
  choosePost(null);
}

/**
 * Draws walls: a drag lays a run, taps set one post after another until Done. With a wall chosen its
 * posts can be dragged, and a tap on it chooses the panel.
 */
export function wallTool(): Tool {
  let post: { id: string; index: number; base: Course } | null = null;
  let from: Vec3 | null = null;
  return {
    begin: (x, y) => {
      const at = postAt(x, y);
      post = at && { ...at, base: useCourse.getState().course };
      if (post) useLay.getState().choosePost(post.index);
      from = post ? null : placeAt(x, y);
      return post !== null || from !== null;
    },
    drag: (x, y) => {
      const to = placeAt(x, y);
      if (to && post) dragPost(post.base, post.id, post.index, to);
      else if (to && from) {
        const words = `${shortNumber(Math.round(distance(from, to) * 100) / 100)} m`;
        const { drawStroke, showMeasure } = useLay.getState();
        drawStroke([from, to]);
        showMeasure({ at: to, words });
      }
    },
    drop: () => {
      const { stroke, dropStroke } = useLay.getState();
      if (!post && from && stroke.length > 1) layRun(stroke[0], stroke[stroke.length - 1]);
      dropStroke();
      post = null;
      from = null;
      endMerge();
    },
    tap: tapWall,
  };
}
