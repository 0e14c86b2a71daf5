// What a piece is and how it is changed: laid, placed, typed, painted, tuned, chosen.
export { freshIds } from './ids';
export { layPiece, layPieces, nextCheckpointNumber, type PieceInHand, removePieces } from './lay';
export { anotherOf, pieceLike, turnInHand } from './like';
export { changePieces, movePieces, roundToStored, setTurn, turnPieces, wrapTurn } from './place';
export {
  type Axis,
  dialRange,
  type DialRange,
  namePieces,
  type NumericProperty,
  readDial,
  setChoiceParam,
  setDial,
  setOneOfSeveral,
  stepDial,
} from './properties';
export { setOpening } from './opening';
export { parseExpression } from './expression';
export {
  choosable,
  chooseAlike,
  chooseAll,
  chooseInRegion,
  chooseOthers,
  chooseWithin,
  type Likeness,
  pickChoosable,
} from './choose';
export { chosenOf, chosenPlaces } from './chosen';
export { swapPieces } from './swap';
export {
  groundOf,
  type Paint,
  paintOf,
  paintPieces,
  setCollision,
  setFamilyCollision,
} from './paint';
export {
  addMotion,
  attachMisfit,
  attachTo,
  changeMotion,
  copiesAbout,
  MOST_MOTIONS,
  NEW_MOTIONS,
  NEW_THROWER,
  phaseSeconds,
  removeMotion,
  setAllowance,
  setBehaviour,
  setLoose,
  setRole,
  shiftPhase,
  type TunedKey,
} from './behaviour';
export { allow } from './allow';
export {
  addPathPoint,
  insertPathPoint,
  movePathPoint,
  movePose,
  pathOf,
  pathPlaces,
  posePlaces,
  posesOf,
  removePathPoint,
  turnPose,
} from './paths';
export {
  centredPart,
  dentOf,
  fittedPart,
  movePartPoint,
  refittedPart,
  setShape,
  shapeFromPicture,
  shapeOf,
  sizeOf,
  splitOutline,
  splitShapeEdge,
  withPart,
} from './shapes';
export {
  isSideless,
  mirrorPiece,
  type MirrorPlane,
  turnAbout,
  turnedFurther,
  turnedVector,
  turnOfMatrix,
} from './images';
export {
  addLayer,
  changeLayer,
  clearMarks,
  freshGroup,
  groupPieces,
  isHidden,
  isLocked,
  markPieces,
  moveLayer,
  putInLayer,
  removeLayer,
  ungroupPieces,
  withGroups,
} from './group';
export { bringBack } from './bringBack';
