export { applyScale } from './pictureTool';
export { sketchTool } from './sketchTool';
