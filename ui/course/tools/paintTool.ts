import { choosable, groundOf, paintOf, paintPieces, pickChoosable } from '@/core/assemble';
import { rayAt, useView, type Tool } from '../../scene';
import { endMerge, useCourse } from '../../state/courseStore';
import { useLay } from '../layStore';

const under = (x: number, y: number) => {
  const { course } = useCourse.getState();
  const hit = pickChoosable(course, rayAt(useView.getState(), x, y));
  return course.pieces.find(({ id }) => id === hit?.id);
};

/** Paints what a finger goes over; while picking, takes the paint of what it touches instead. */
export function paintTool(): Tool {
  /** What the stroke has painted: a whole ground is not sought anew wherever it is gone over. */
  let painted: ReadonlySet<string> = new Set();
  const paint = (x: number, y: number) => {
    const piece = under(x, y);
    if (!piece || painted.has(piece.id)) return;
    const { paint: with_, wholeGround } = useLay.getState();
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
      const { picking, set } = useLay.getState();
      const piece = under(x, y);
      if (!piece) return;
      if (picking) set({ paint: paintOf(piece), picking: false });
      else {
        paint(x, y);
        end();
      }
    },
  };
}
