import type { Tool } from '../../scene';
import type { LayTool } from '../open/laying';
import { chooseTool } from './chooseTool';
import { eraseTool } from './eraseTool';
import { fillTool } from './fillTool';
import { kitTool } from './kitTool';
import { outlineTool } from './outlineTool';
import { paintTool } from './paintTool';
import { pieceTool } from './pieces';
import { strewTool } from './strewTool';
import { tideTool } from './tideTool';
import { wallTool } from './wallTool';

/** What a finger does with each tool. */
export const TOOLS: Record<LayTool, () => Tool> = {
  pieces: pieceTool,
  choose: chooseTool,
  wall: wallTool,
  fill: fillTool,
  outline: outlineTool,
  scatter: strewTool,
  paint: paintTool,
  erase: eraseTool,
  kit: kitTool,
  // These have figures and buttons of their own; a finger goes on choosing and dragging.
  symmetry: pieceTool,
  layers: pieceTool,
  sky: tideTool,
};

export { sketchTool } from './sketch';
