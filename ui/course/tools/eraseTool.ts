import { pickChoosable, removePieces } from '@/core/edit';
import { rayAt, useView, type Tool } from '../../scene';
import { endMerge, useCourse } from '../../state/courseStore';

/** Takes away whatever is touched or drawn over, piece by piece; all of one drawing is one step to undo. */
export function eraseTool(): Tool {
  const erase = (x: number, y: number) => {
    const { course, edit } = useCourse.getState();
    const under = pickChoosable(course, rayAt(useView.getState(), x, y));
    if (under) edit((now) => removePieces(now, new Set([under.id])), 'erase');
  };
  return {
    begin: () => {
      endMerge();
      return true;
    },
    drag: erase,
    drop: endMerge,
    tap: (x, y) => {
      erase(x, y);
      endMerge();
    },
  };
}
