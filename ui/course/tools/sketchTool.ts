import { drawSketch, moveSketchPoint, onWorkPlane, scalePicture, setNote } from '@/core/assemble';
import type { Vec3 } from '@/core/geometry';
import { pixelOf, rayAt, useView, type Tool } from '../../scene';
import { endMerge, useCourse } from '../../state/courseStore';
import { planeNow } from '../landing';
import { useLay } from '../layStore';

const placeAt = (x: number, y: number): Vec3 | null =>
  onWorkPlane(rayAt(useView.getState(), x, y), planeNow());

/** Draws the route before it is built: freehand, by its points, with notes, over a picture. */
export function sketchTool(): Tool {
  let held = -1;
  const pointAt = (x: number, y: number): number => {
    const view = useView.getState();
    const points = useCourse.getState().course.sketch?.points ?? [];
    return points.findIndex((p) => {
      const pixel = pixelOf(view, p as Vec3);
      return pixel !== null && Math.hypot(pixel[0] - x, pixel[1] - y) < 22;
    });
  };
  return {
    begin: (x, y) => {
      const { sketching, set } = useLay.getState();
      if (sketching === 'draw') {
        const p = placeAt(x, y);
        set({ stroke: p ? [p] : [] });
        return p !== null;
      }
      if (sketching !== 'points') return false;
      held = pointAt(x, y);
      set({ sketchPoint: held >= 0 ? held : null });
      return held >= 0;
    },
    drag: (x, y) => {
      const { sketching, stroke, set } = useLay.getState();
      const p = placeAt(x, y);
      if (!p) return;
      if (sketching === 'draw') {
        const last = stroke[stroke.length - 1];
        if (!last || Math.hypot(...[0, 1, 2].map((i) => p[i] - last[i])) > 0.15) {
          set({ stroke: [...stroke, p] });
        }
      } else if (held >= 0) {
        const before = useCourse.getState().course.sketch!.points[held];
        // Drawn over the map a point keeps its height, seen from the side its depth.
        const to: Vec3 =
          planeNow().axis === 'y' ? [p[0], before[1], p[2]] : [p[0], p[1], before[2]];
        useCourse.getState().edit((course) => moveSketchPoint(course, held, to), 'drag');
      }
    },
    drop: () => {
      const { sketching, stroke, set } = useLay.getState();
      if (sketching === 'draw' && stroke.length > 2) {
        useCourse.getState().edit((course) => drawSketch(course, stroke));
      }
      if (sketching === 'draw') set({ stroke: [] });
      held = -1;
      endMerge();
    },
    tap: (x, y) => {
      const { sketching, stroke, set } = useLay.getState();
      const p = placeAt(x, y);
      if (!p) return;
      if (sketching === 'note') {
        const { course, edit } = useCourse.getState();
        const number = course.sketch?.notes?.length ?? 0;
        edit((before) => setNote(before, number, p, `Note ${number + 1}`));
        set({ sketchPoint: number });
      } else if (sketching === 'scale') {
        set({ stroke: stroke.length >= 2 ? [p] : [...stroke, p] });
      } else if (sketching === 'points') {
        const index = pointAt(x, y);
        set({ sketchPoint: index >= 0 ? index : null });
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
  set({ stroke: [], sketching: null });
}
