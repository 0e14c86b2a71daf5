import { choosable, cornerOnto, cornersOf, pickChoosable } from '@/core/edit';
import type { Course, Piece } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { showToast } from '../../../parts';
import { pixelOf, rayAt, useView } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { useLay } from '../../open/laying';
import { touchBeside } from '../../open/sceneMode';

/** How near a corner a finger means it, pixels. */
const NEAR = 40;

/** The corner of some pieces that is seen nearest to a pixel, where one is near at all. */
export function cornerAt(pieces: readonly Piece[], x: number, y: number): Vec3 | null {
  const view = useView.getState();
  let best: Vec3 | null = null;
  let least = NEAR;
  for (const piece of pieces) {
    for (const corner of cornersOf(piece)) {
      const pixel = pixelOf(view, corner);
      const away = pixel ? Math.hypot(pixel[0] - x, pixel[1] - y) : Infinity;
      if (away < least) {
        least = away;
        best = corner;
      }
    }
  }
  return best;
}

/** The corner near a pixel of what is not chosen. */
export function cornerOfOthersAt(
  course: Course,
  choice: ReadonlySet<string>,
  x: number,
  y: number,
) {
  return cornerAt(
    choosable(course).filter(({ id }) => !choice.has(id)),
    x,
    y,
  );
}

/** Corner onto corner: the first touch takes one of the chosen pieces, the second says onto which. */
export function touchCorner(x: number, y: number): void {
  const { course, choice, edit } = useCourse.getState();
  const { cornering, endCornering, lineUpCorner } = useLay.getState();
  const own = cornering?.own;
  const found = cornerAt(
    choosable(course).filter(({ id }) => choice.has(id) === !own),
    x,
    y,
  );
  if (!found) {
    const beside = !pickChoosable(course, rayAt(useView.getState(), x, y));
    if (!beside || !touchBeside()) showToast('There is no corner there. Touch nearer to one.');
  } else if (!own) lineUpCorner(found);
  else {
    edit((before) => cornerOnto(before, choice, own, found));
    endCornering();
  }
}
