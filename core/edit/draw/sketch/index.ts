export { bridged, ownCrossings } from './bridge';
export {
  addSketchPoint,
  clearSketch,
  closeSketch,
  drawSketch,
  moveSketchPoint,
  nearestBetween,
  noSketch,
  placeOfPoint,
  raiseSketchPoint,
  removeSketchLine,
  removeSketchPoint,
  setSketchShown,
  type SketchLine,
  sketchLines,
  type SketchPoint,
  smoothSketch,
  toSketch,
  withSketch,
} from './lines';
export { setNote } from './notes';
export {
  movePicture,
  type PictureMove,
  scalePicture,
  setPictureShown,
  setSketchPicture,
} from './picture';
export { resample, smoothWay, thinWay, toCentimetres, wayLengthOf } from './way';
