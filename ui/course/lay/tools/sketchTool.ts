import {
  drawSketch,
  movePicture,
  moveSketchPoint,
  onWorkPlane,
  placeOfPoint,
  scalePicture,
  setNote,
  sketchLines,
  type SketchPoint,
} from '@/core/edit';
import { distance, sub, type Vec3 } from '@/core/geometry';
import { metresAPixel, pixelOf, rayAt, useView, type Tool } from '../../../scene';
import { endMerge, useCourse } from '../../../state/courseStore';
import { planeNow } from '../landing';
import { useLay } from '../layStore';

/** How near a point or a note's pin has to be touched, pixels. */
const TOUCH = 24;
/** A stroke that begins this near a line belongs to it even seen from close by, m. */
const LEAST_NEAR = 3;
/** Metres between the places of a stroke that are kept. */
const APART = 0.15;
/** Where a note's words stand over its pin, and about how wide they are, pixels. */
const [WORDS_OVER, WORDS_WIDE, WORDS_TALL] = [38, 60, 16];

const placeAt = (x: number, y: number): Vec3 | null =>
  onWorkPlane(rayAt(useView.getState(), x, y), planeNow());

const sketchNow = () => useCourse.getState().course.sketch;

/** The point of a drawn line that is touched. */
function pointAt(x: number, y: number): SketchPoint | null {
  const view = useView.getState();
  for (const [line, { points }] of sketchLines(sketchNow()).entries()) {
    const index = points.findIndex((p) => {
      const pixel = pixelOf(view, p as Vec3);
      return pixel !== null && Math.hypot(pixel[0] - x, pixel[1] - y) < TOUCH;
    });
    if (index >= 0) return { line, index };
  }
  return null;
}

/** The note whose pin or words are touched, or -1. */
function noteAt(x: number, y: number): number {
  const view = useView.getState();
  return (sketchNow()?.notes ?? []).findIndex(({ at }) => {
    const pixel = pixelOf(view, at as Vec3);
    if (!pixel) return false;
    const [dx, dy] = [x - pixel[0], y - pixel[1]];
    const onWords = Math.abs(dx) < WORDS_WIDE && Math.abs(dy + WORDS_OVER) < WORDS_TALL;
    return Math.hypot(dx, dy) < TOUCH || onWords;
  });
}

/** Draws the route before it is built: freehand, by its points, with notes, over a picture. */
export function sketchTool(): Tool {
  let point: SketchPoint | null = null;
  let note = -1;
  let last: Vec3 | null = null;
  return {
    begin: (x, y) => {
      const { sketching, set } = useLay.getState();
      const p = placeAt(x, y);
      last = p;
      if (sketching === 'draw') {
        set({ stroke: p ? [p] : [] });
        return p !== null;
      }
      if (sketching === 'points') {
        point = pointAt(x, y);
        set({ sketchPoint: point });
        return point !== null;
      }
      if (sketching === 'note') {
        note = noteAt(x, y);
        if (note >= 0) set({ sketchNote: note });
        return note >= 0;
      }
      return sketching === 'picture' && p !== null && sketchNow()?.picture !== undefined;
    },
    drag: (x, y) => {
      const { sketching, stroke, set } = useLay.getState();
      const { edit } = useCourse.getState();
      const p = placeAt(x, y);
      if (!p) return;
      if (sketching === 'draw') {
        const end = stroke[stroke.length - 1];
        if (!end || distance(p, end) > APART) set({ stroke: [...stroke, p] });
      } else if (sketching === 'picture' && last) {
        const by = sub(p, last);
        edit((now) => movePicture(now, { about: p, by, factor: 1, turn: 0 }), 'picture');
      } else if (note >= 0) {
        const text = sketchNow()?.notes?.[note]?.text ?? '';
        edit((now) => setNote(now, note, p, text), 'note place');
      } else if (point) {
        const held = point;
        const before = placeOfPoint(sketchNow(), held);
        if (!before) return;
        // Drawn over the map a point keeps its height, seen from the side its depth.
        const to: Vec3 =
          planeNow().axis === 'y' ? [p[0], before[1], p[2]] : [p[0], p[1], before[2]];
        edit((now) => moveSketchPoint(now, held, to), 'drag');
      }
      last = p;
    },
    drop: () => {
      const { sketching, stroke, set } = useLay.getState();
      if (sketching === 'draw' && stroke.length > 2) {
        const near = Math.max(LEAST_NEAR, metresAPixel(useView.getState(), stroke[0]) * TOUCH);
        useCourse.getState().edit((course) => drawSketch(course, stroke, near));
      }
      if (sketching === 'draw') set({ stroke: [] });
      point = null;
      note = -1;
      endMerge();
    },
    cancel: () => {
      useLay.getState().set({ stroke: [] });
      point = null;
      note = -1;
      endMerge();
    },
    pinch: ({ x, y, dx, dy, factor, turn }) => {
      if (useLay.getState().sketching !== 'picture' || !sketchNow()?.picture) return false;
      const [about, to] = [placeAt(x, y), placeAt(x + dx, y + dy)];
      if (!about || !to) return true;
      const by = sub(to, about);
      useCourse
        .getState()
        .edit((now) => movePicture(now, { about, by, factor, turn: -turn }), 'picture');
      return true;
    },
    tap: (x, y) => {
      const { sketching, stroke, set } = useLay.getState();
      const p = placeAt(x, y);
      if (!p) return;
      if (sketching === 'note') {
        const there = noteAt(x, y);
        if (there >= 0) return set({ sketchNote: there });
        const number = sketchNow()?.notes?.length ?? 0;
        useCourse.getState().edit((now) => setNote(now, number, p, `Note ${number + 1}`));
        set({ sketchNote: number });
      } else if (sketching === 'scale') {
        set({ stroke: stroke.length >= 2 ? [p] : [...stroke, p] });
      } else if (sketching === 'points') {
        set({ sketchPoint: pointAt(x, y) });
      }
    },
  };
}

/** Sizes the picture by the two places touched and the length they are known to have. */
export function applyScale(metres: number): void {
  const { stroke, set } = useLay.getState();
  const [a, b] = stroke;
  if (!a || !b) throw new RangeError('Touch two places on the picture first.');
  useCourse.getState().edit((course) => scalePicture(course, a, b, metres));
  set({ stroke: [], sketching: 'picture' });
}
