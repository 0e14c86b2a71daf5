import { choosable, groundOf, paintGround, paintOf, paintPieces, pickChoosable } from '@/core/edit';
import { add, scale } from '@/core/geometry';
import { showToast } from '../../parts';
import { rayAt, useView, type Tool } from '../../scene';
import { endMerge, useCourse } from '../../state/courseStore';
import { useLay } from '../open/laying';

const under = (x: number, y: number) => {
  const { course } = useCourse.getState();
  const hit = pickChoosable(course, rayAt(useView.getState(), x, y));
  return course.pieces.find(({ id }) => id === hit?.id);
};

/** Puts a patch of paint where the ground is touched. */
function brushAt(x: number, y: number): void {
  const { course, edit } = useCourse.getState();
  const ray = rayAt(useView.getState(), x, y);
  const hit = pickChoosable(course, ray);
  if (!hit) return;
  const { paint, brush } = useLay.getState();
  const at = add(ray.from, scale(ray.along, hit.t));
  try {
    edit((now) => paintGround(now, at, brush, paint), 'brush');
  } catch (problem) {
    if (!(problem instanceof RangeError)) throw problem;
    showToast(problem.message);
  }
}

/** Paints what a finger goes over; while picking, takes the paint of what it touches instead. */
export function paintTool(): Tool {
  /** What the stroke has painted: a whole ground is not sought anew wherever it is gone over. */
  let painted: ReadonlySet<string> = new Set();
  const paint = (x: number, y: number) => {
    const { paint: with_, wholeGround, groundBrush } = useLay.getState();
    if (groundBrush) return brushAt(x, y);
    const piece = under(x, y);
    if (!piece || painted.has(piece.id)) return;
    useCourse.getState().edit((course) => {
      const ground = wholeGround ? groundOf({ pieces: choosable(course) }, piece.id) : null;
      const all = ground?.size ? ground : new Set([piece.id]);
      painted = new Set([...painted, ...all]);
      return paintPieces(course, all, with_);
    }, 'brush');
  };
  const end = () => {
    painted = new Set();
    endMerge();
  };
  return {
    begin: (x, y) => under(x, y) !== undefined,
    drag: paint,
    drop: end,
    tap: (x, y) => {
      const { picking, takePaint } = useLay.getState();
      const piece = under(x, y);
      if (!piece) return;
      if (picking) takePaint(paintOf(piece));
      else {
        paint(x, y);
        end();
      }
    },
  };
}
