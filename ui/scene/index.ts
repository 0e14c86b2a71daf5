export { type Apart, dragPartition } from './dragPartition';
export { type Carried, carriedBy, rigidOffset } from './rigidOffset';
export { Canvas } from './Canvas';
export { Drawing } from './Drawing';
export { StillPieces } from './StillPieces';
export { type FrameState, restingMoment } from './frameState';
export { movesInPart, MovingPieces } from './MovingPieces';
export { Surroundings } from './Surroundings';
export { GroundPaint } from './GroundPaint';
export { Chosen, Fitting, Ghost, Ghosts, PlaneGrid } from './BuildMarks';
export { ComparedMarks } from './ComparedMarks';
export { BoardTexts, Words } from './BoardTexts';
export { UnderPicture } from './UnderPicture';
export { Runner, type Shown } from './Runner';
export { copyGeometry, ThrownCopies } from './ThrownCopies';
export { Regions } from './Regions';
export { ContactShapes, shapeSolid } from './ContactShapes';
export { type Covered, endGlide, glideTo, keepInSight } from './glide';
export { Inset, type InsetFrame } from './Inset';
export { type Pinch, type Pointer, type Tool, useGestures } from './gestures';
export {
  lookFrom,
  metresAPixel,
  pixelOf,
  rayAt,
  showAcross,
  useView,
  type View,
  VIEW_MODES,
  type ViewMode,
} from './view';
export { useViewKept } from './useViewKept';
export { USUAL_HOUR } from './daylight';
export { USUAL_SIGHT, USUAL_TIDE } from './sky';
export { RunRibbon } from './RunRibbon';
