import { create } from 'zustand';
import { endIndex } from '@/core/edit';
import { useCourse } from '../../../state/courseStore';
import { picker } from '../../../state/picker';
import { choosingSlice, type Choosing } from './choosing';
import { drawingSlice, type Drawing, type LayTool } from './drawing';
import { handSlice, type Hand } from './hand';
import { sketchingSlice, type Sketching } from './sketching';
import { snappingSlice, type Snapping } from './snapping';
import { toolOptionsSlice, type ToolOptions } from './toolOptions';
import { workPlaneSlice, type WorkPlanes } from './workPlane';

/** All that laying depends on besides the course and the view. */
export type LayState = Snapping & WorkPlanes & Hand & Choosing & Drawing & ToolOptions & Sketching;

/** How pieces are being laid. */
export const useLay = create<LayState>()((set) => ({
  ...snappingSlice(set),
  ...workPlaneSlice(set),
  ...handSlice(set),
  ...choosingSlice(set),
  ...drawingSlice(set),
  ...toolOptionsSlice(set),
  ...sketchingSlice(set),
}));

/** Some of it by name. */
export const useLayOf = picker(useLay);

/** Takes up a tool: a row, a ring and a corner that another one had begun are dropped with its drawing. */
export function takeTool(tool: LayTool): void {
  const { pickTool, showRow, endCornering, showRing } = useLay.getState();
  pickTool(tool);
  showRow(null);
  endCornering();
  showRing(null);
}

useCourse.subscribe(({ inHand }, { inHand: before }) => {
  if (before && inHand?.family !== before.family) useLay.getState().lowerHand();
});

/** How near the end of another course state lies to be the same end, m. */
const SAME_END = 1e-3;

// An end that was touched is let go once it is joined or gone.
useCourse.subscribe(({ course }, { course: before }) => {
  const { touchedEnd, touchEnd } = useLay.getState();
  if (!touchedEnd || course.pieces === before.pieces) return;
  const index = endIndex(course);
  if (!index.near(touchedEnd, SAME_END).some((end) => index.isOpen(end))) touchEnd(null);
});
