import { movePicture, scalePicture } from '@/core/edit';
import { sub, type Vec3 } from '@/core/geometry';
import type { Tool } from '../../../scene';
import { endMerge, useCourse } from '../../../state/courseStore';
import { useLay } from '../../open/laying';
import { placeAt, sketchNow } from './touched';

/** The picture under the sketch: moved by one finger; moved, turned and sized by two. */
export function pictureTool(): Tool {
  let last: Vec3 | null = null;
  return {
    begin: (x, y) => {
      last = placeAt(x, y);
      return last !== null && sketchNow()?.picture !== undefined;
    },
    drag: (x, y) => {
      const place = placeAt(x, y);
      if (place && last) {
        const change = { about: place, by: sub(place, last), factor: 1, turn: 0 };
        useCourse.getState().edit((now) => movePicture(now, change), 'picture');
      }
      last = place ?? last;
    },
    drop: endMerge,
    pinch: ({ x, y, dx, dy, factor, turn }) => {
      if (!sketchNow()?.picture) return false;
      const [about, to] = [placeAt(x, y), placeAt(x + dx, y + dy)];
      if (!about || !to) return true;
      const change = { about, by: sub(to, about), factor, turn: -turn };
      useCourse.getState().edit((now) => movePicture(now, change), 'picture');
      return true;
    },
  };
}

/** Two places on the picture that are known to be so far apart. */
export const scaleTool = (): Tool => ({
  tap: (x, y) => {
    const { stroke, drawStroke } = useLay.getState();
    const place = placeAt(x, y);
    if (place) drawStroke(stroke.length >= 2 ? [place] : [...stroke, place]);
  },
});

/** Sizes the picture by the two places touched and the length they are known to have. */
export function applyScale(metres: number): void {
  const { stroke, dropStroke, setSketching } = useLay.getState();
  const [a, b] = stroke;
  if (!a || !b) throw new RangeError('Touch two places on the picture first.');
  useCourse.getState().edit((course) => scalePicture(course, a, b, metres));
  dropStroke();
  setSketching('picture');
}
