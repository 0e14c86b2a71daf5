import { drawSketch } from '@/core/edit';
import { distance } from '@/core/geometry';
import { metresAPixel, useView, type Tool } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { useLay } from '../../open/laying';
import { placeAt, TOUCH } from './touched';

/** A stroke that begins this near a line belongs to it even seen from close by, m. */
const LEAST_NEAR = 3;
/** Metres between the places of a stroke that are kept. */
const APART = 0.15;

/** The route drawn freehand. */
export const drawTool = (): Tool => ({
  begin: (x, y) => {
    const place = placeAt(x, y);
    useLay.getState().drawStroke(place ? [place] : []);
    return place !== null;
  },
  drag: (x, y) => {
    const { stroke, drawStroke } = useLay.getState();
    const place = placeAt(x, y);
    const end = stroke[stroke.length - 1];
    if (place && (!end || distance(place, end) > APART)) drawStroke([...stroke, place]);
  },
  drop: () => {
    const { stroke, drawStroke } = useLay.getState();
    if (stroke.length > 2) {
      const near = Math.max(LEAST_NEAR, metresAPixel(useView.getState(), stroke[0]) * TOUCH);
      useCourse.getState().edit((course) => drawSketch(course, stroke, near));
    }
    drawStroke([]);
  },
  cancel: () => useLay.getState().drawStroke([]),
});
