import { moveSketchPoint, placeOfPoint } from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import type { Tool } from '../../../scene';
import { endMerge, useCourse } from '../../../state/courseStore';
import { planeNow } from '../landing';
import { useLay } from '../../open/laying';
import { placeAt, pointAt, sketchNow } from './touched';

/** The points of drawn lines, touched and dragged. */
export const pointTool = (): Tool => ({
  begin: (x, y) => {
    const point = pointAt(x, y);
    useLay.getState().chooseSketchPoint(point);
    return point !== null;
  },
  drag: (x, y) => {
    const point = useLay.getState().sketchPoint;
    const place = placeAt(x, y);
    const before = point && placeOfPoint(sketchNow(), point);
    if (!place || !before) return;
    // Drawn over the map a point keeps its height, seen from the side its depth.
    const to: Vec3 =
      planeNow().axis === 'y' ? [place[0], before[1], place[2]] : [place[0], place[1], before[2]];
    useCourse.getState().edit((now) => moveSketchPoint(now, point, to), 'drag');
  },
  drop: endMerge,
  tap: (x, y) => useLay.getState().chooseSketchPoint(pointAt(x, y)),
});
