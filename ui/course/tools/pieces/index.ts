export { alongAxis, handlesOf, type Handle } from './handles';
export { ABOVE_FINGER, layAt, pointedNow, restingAt, rowBetween } from './handTool';
export { pieceTool } from './pieceTool';
