import { create } from 'zustand';
import { layKit, type Kit } from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import type { Tool } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { pointedAt, toGrid } from './landing';
import { ABOVE_FINGER } from './pieces';

/** The assembly of the kit in hand, and where it would land; null before it was pointed anywhere. */
export const useKitHand = create<{ readonly kit: Kit | null; readonly at: Vec3 | null }>()(() => ({
  kit: null,
  at: null,
}));

/** Takes an assembly of the kit in hand: the next tap lays it. */
export const takeKit = (kit: Kit | null): void => useKitHand.setState({ kit, at: null });

/** Lays the assembly in hand where it is tapped, or where it was slid to; it is seen before it lands. */
export function kitTool(): Tool {
  let lift = 0;
  const show = (x: number, y: number) => {
    if (!useKitHand.getState().kit) return;
    const p = pointedAt(useCourse.getState().course, x, y - lift);
    if (p) useKitHand.setState({ at: toGrid(p) });
  };
  const land = (at: Vec3 | null) => {
    const { kit } = useKitHand.getState();
    const { course, edit, choose } = useCourse.getState();
    if (!kit || !at) return;
    const { course: next, laid } = layKit(course, kit, at);
    edit(() => next);
    choose(laid);
    useKitHand.setState({ at: null });
  };
  return {
    begin: (_x, _y, pointer) => {
      lift = pointer.kind === 'mouse' ? 0 : ABOVE_FINGER;
      return useKitHand.getState().kit !== null;
    },
    hold: (x, y) => {
      show(x, y);
      return true;
    },
    drag: show,
    drop: () => land(useKitHand.getState().at),
    cancel: () => useKitHand.setState({ at: null }),
    hover: (x, y) => {
      lift = 0;
      show(x, y);
    },
    tap: (x, y) => {
      const p = pointedAt(useCourse.getState().course, x, y);
      land(p && toGrid(p));
    },
  };
}
