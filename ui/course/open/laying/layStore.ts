import { create } from 'zustand';
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
