export { bestParts, partsOf, type RunPart, sumOfBest } from './parts';
export { PHASES, phasesOf, type RunPhase, type Trace } from './phases';
export { besideAlong, type BesidePoint, Follower, wayAlong } from './progress';
export { type RunTrace, traceOf } from './trace';
export {
  LINE_MARKS,
  type LineMark,
  type LineMarkKind,
  POINT_SIZE,
  type RunLine,
  runLine,
} from './line';
export {
  type BegunRun,
  type BesideRun,
  type Mishap,
  type RunSheet,
  runSheet,
  type WaySample,
} from './sheet';
export { type Pressed, pressedOf, stretchesOf } from './pressed';
export { type Standing, Steerer, type SteerLine } from './steer';
export {
  changesOf,
  type HeldWay,
  type Judged,
  judgeWay,
  type PieceChange,
  standsOf,
  type WayVerdict,
} from './way';
export {
  type BeatFit,
  type BeatHit,
  type BeatPlace,
  beatPlaces,
  type BeatSheet,
  beatSheet,
  fittedTempo,
} from './beat';
export { digestOf, type RunDigest } from './digest';
export { type EndsAt, endsOf, endsTogether, type RunEnd } from './ends';
export { type BeatShift, beatShifts, shiftOntoBeat } from './shift';
export {
  difficultyOf,
  HAND,
  maySteer,
  type SteadySection,
  type SteadySpan,
  type Steadiness,
  steadinessOf,
  type TriedRun,
  triedRun,
  TRIES,
} from './steady';
export { type CsvRun, timesCsv } from './csv';
export { type Opening, OPENING_STEP, openingsOf, shiftedOpening } from './openings';
export {
  type FairSheet,
  fairSheet,
  type HazardSheet,
  type Landing,
  LOOK_BACK,
  type NearestPass,
  PICTURES,
  type PictureName,
  type TimeInSight,
  type UnfairHit,
} from './fair';
export { PROPOSAL_TRIES, proposedPars, proposedTargets, unmetTargets } from './targets';
