import { chooseWithin, pickChoosable, withGroups } from '@/core/edit';
import { pixelOf, rayAt, useView, type Tool } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useLay } from '../open/laying';

/** Chooses many: a finger draws about them, a tap adds one or takes it out again. */
export function chooseTool(): Tool {
  return {
    begin: (x, y) => {
      useLay.getState().drawLasso([[x, y]]);
      return true;
    },
    drag: (x, y) => {
      const { lasso, drawLasso } = useLay.getState();
      const last = lasso[lasso.length - 1];
      if (last && Math.hypot(last[0] - x, last[1] - y) < 5) return;
      drawLasso([...lasso, [x, y]]);
    },
    drop: () => {
      const { lasso, drawLasso } = useLay.getState();
      const { course, choice, choose } = useCourse.getState();
      drawLasso([]);
      if (lasso.length < 3) return;
      const view = useView.getState();
      const found = withGroups(
        course,
        chooseWithin(course, lasso, (p) => pixelOf(view, p)),
      );
      choose([...choice, ...found]);
    },
    tap: (x, y) => {
      const { course, choice, choose } = useCourse.getState();
      useLay.getState().drawLasso([]);
      const under = pickChoosable(course, rayAt(useView.getState(), x, y));
      if (!under) return;
      const ids = withGroups(course, [under.id]);
      choose(choice.has(under.id) ? [...choice].filter((id) => !ids.has(id)) : [...choice, ...ids]);
    },
  };
}
