import { chooseWithin, pickChoosable, withGroups } from '@/core/edit';
import { pixelOf, rayAt, useView, type Tool } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useLay } from '../open/layStore';

/** Chooses many: a finger draws about them, a tap adds one or takes it out again. */
export function chooseTool(): Tool {
  return {
    begin: (x, y) => {
      useLay.getState().set({ lasso: [[x, y]] });
      return true;
    },
    drag: (x, y) => {
      const { lasso, set } = useLay.getState();
      const last = lasso[lasso.length - 1];
      if (last && Math.hypot(last[0] - x, last[1] - y) < 5) return;
      set({ lasso: [...lasso, [x, y]] });
    },
    drop: () => {
      const { lasso, set } = useLay.getState();
      const { course, choice, choose } = useCourse.getState();
      set({ lasso: [] });
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
      useLay.getState().set({ lasso: [] });
      const under = pickChoosable(course, rayAt(useView.getState(), x, y));
      if (!under) return;
      const ids = withGroups(course, [under.id]);
      choose(choice.has(under.id) ? [...choice].filter((id) => !ids.has(id)) : [...choice, ...ids]);
    },
  };
}
