import { addPathPoint, insertPathPoint, movePathPoint, pathPlaces } from '@/core/edit';
import { lerp, type Vec3 } from '@/core/geometry';
import type { Tool } from '../../scene';
import { endMerge, useCourse } from '../../state/courseStore';
import { useTune } from '../open/tuneStore';
import { besidePlace, heightOver, knobAt, liftedBy, onLift } from './knobs';

const chosen = () => {
  const { course, choice } = useCourse.getState();
  return course.pieces.find(({ id }) => choice.has(id));
};

/** Where between a path's points another can be put in: halfway along each stretch. */
export const betweenPlaces = (places: readonly Vec3[]): Vec3[] =>
  places.slice(1).map((p, i) => lerp(places[i], p, 0.5));

/** Drawing the chosen piece's path: points are added by touching, put in between others, dragged, and lifted. */
export function pathTool(): Tool {
  /** The point that is dragged, and from where and which height where it is lifted. */
  let held = 0;
  let lifted: { readonly at: Vec3; readonly from: number } | null = null;
  const move = (to: Vec3) => {
    const piece = chosen();
    if (piece) useCourse.getState().edit((now) => movePathPoint(now, piece.id, held, to), 'path');
  };
  return {
    begin: (x, y) => {
      const piece = chosen();
      if (!piece) return false;
      // What was only tapped let nothing go.
      lifted = null;
      const { pathPoint, set } = useTune.getState();
      const places = pathPlaces(piece);
      const point = pathPoint === null ? undefined : places[pathPoint];
      if (pathPoint && point && onLift(point, x, y)) {
        const from = heightOver(point, x, y);
        lifted = from === null ? null : { at: point, from };
        held = pathPoint;
        return lifted !== null;
      }
      // The first is the piece itself, and moves with it.
      held = knobAt(places.slice(1), x, y) + 1;
      if (held === 0) {
        const between = betweenPlaces(places);
        const stretch = knobAt(between, x, y);
        if (stretch >= 0) {
          held = stretch + 1;
          useCourse
            .getState()
            .edit((now) => insertPathPoint(now, piece.id, held, between[stretch]), 'path');
        }
      }
      set({ pathPoint: held > 0 ? held : null });
      return held > 0;
    },
    drag: (x, y) => {
      const piece = chosen();
      if (!piece || held < 1) return;
      if (lifted) {
        const reach = heightOver(lifted.at, x, y);
        return reach === null ? undefined : move(liftedBy(lifted.at, reach - lifted.from));
      }
      const to = besidePlace(x, y, pathPlaces(piece)[held]);
      if (to) move(to);
    },
    drop: () => {
      held = 0;
      lifted = null;
      endMerge();
    },
    tap: (x, y) => {
      const piece = chosen();
      // A touch that began on a point has taken hold of that one.
      if (!piece || useTune.getState().pathPoint !== null) return endMerge();
      const places = pathPlaces(piece);
      const to = besidePlace(x, y, places[places.length - 1] ?? piece.at);
      if (to) useCourse.getState().edit((now) => addPathPoint(now, piece.id, to));
    },
  };
}
