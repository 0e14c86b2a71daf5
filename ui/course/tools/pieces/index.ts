export { alongAxis, handlesOf, type Handle } from './handles';
export { ABOVE_FINGER, layAt, rowBetween } from './handTool';
export { pieceTool } from './pieceTool';
