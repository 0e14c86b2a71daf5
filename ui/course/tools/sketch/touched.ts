import { onWorkPlane, sketchLines, type SketchPoint } from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import { pixelOf, rayAt, useView } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { planeNow } from '../landing';

/** How near a point or a note's pin has to be touched, pixels. */
export const TOUCH = 24;
/** Where a note's words stand over its pin, and about how wide they are, pixels. */
const [WORDS_OVER, WORDS_WIDE, WORDS_TALL] = [38, 60, 16];

/** The place on the work plane that a pixel points at. */
export const placeAt = (x: number, y: number): Vec3 | null =>
  onWorkPlane(rayAt(useView.getState(), x, y), planeNow());

export const sketchNow = () => useCourse.getState().course.sketch;

/** The point of a drawn line that is touched. */
export function pointAt(x: number, y: number): SketchPoint | null {
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
export function noteAt(x: number, y: number): number {
  const view = useView.getState();
  return (sketchNow()?.notes ?? []).findIndex(({ at }) => {
    const pixel = pixelOf(view, at as Vec3);
    if (!pixel) return false;
    const [dx, dy] = [x - pixel[0], y - pixel[1]];
    const onWords = Math.abs(dx) < WORDS_WIDE && Math.abs(dy + WORDS_OVER) < WORDS_TALL;
    return Math.hypot(dx, dy) < TOUCH || onWords;
  });
}
