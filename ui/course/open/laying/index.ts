export { HANDLE_MODES, type ChoosingSwitch, type HandleMode, type Ring } from './choosing';
export { LAY_TOOLS, type LayTool } from './drawing';
export { takeTool, useLay, useLayOf, type LayState } from './layStore';
export type { SketchMode } from './sketching';
export { planeOf } from './workPlane';
export { pointedNow, restingAt } from './pointed';
