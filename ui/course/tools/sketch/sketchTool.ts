import type { Tool } from '../../../scene';
import { useLay, type SketchMode } from '../../open/laying';
import { drawTool } from './drawTool';
import { noteTool } from './noteTool';
import { pictureTool, scaleTool } from './pictureTool';
import { pointTool } from './pointTool';

/** Draws the route before it is built: freehand, by its points, with notes, over a picture. */
export function sketchTool(): Tool {
  const ways: Record<SketchMode, Tool> = {
    draw: drawTool(),
    points: pointTool(),
    note: noteTool(),
    picture: pictureTool(),
    scale: scaleTool(),
  };
  const now = (): Tool => {
    const { sketching } = useLay.getState();
    return sketching ? ways[sketching] : {};
  };
  /** The way in which the finger that is down began. */
  let held: Tool = {};
  return {
    begin: (x, y, pointer) => {
      held = now();
      return held.begin?.(x, y, pointer) ?? false;
    },
    drag: (x, y) => held.drag?.(x, y),
    drop: () => held.drop?.(),
    cancel: () => (held.cancel ?? held.drop)?.(),
    pinch: (change) => {
      held = now();
      return held.pinch?.(change) ?? false;
    },
    tap: (x, y, pointer) => now().tap?.(x, y, pointer),
  };
}
