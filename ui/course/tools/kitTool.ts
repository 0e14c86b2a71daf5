import { layKit, snapToGrid, type Kit } from '@/core/assemble';
import type { Tool } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { pointedAt, snapNow } from '../landing';

let inHand: Kit | null = null;

/** Takes an assembly of the kit in hand: the next tap lays it. */
export const takeKit = (kit: Kit | null): void => {
  inHand = kit;
};

/** Lays the assembly in hand where it is tapped. */
export function kitTool(): Tool {
  return {
    tap: (x, y) => {
      const { course, edit, choose } = useCourse.getState();
      const p = pointedAt(course, x, y);
      if (!inHand || !p) return;
      const { course: next, laid } = layKit(course, inHand, snapToGrid(p, snapNow().steps));
      edit(() => next);
      choose(laid);
    },
  };
}
