// A run from its beginning to its end: a tick, replays, proofs, and looking without a runner.
export { tick } from './tick';
export { initialState } from './begin';
export { beginAt } from './from';
export { poseHash, replay, type RunResult, summarise } from './replay';
export { CORE_VERSION, MAX_RUN_TICKS, Recorder, type Run, RunSchema } from './record';
export { roundsOf, type Split, splitsOf } from './splits';
export { byRank, ranksBefore, type Score } from './rank';
export { ReplayRefused, verifyRun } from './verify';
export { LinkPreview, type TriggerRecord, type ManualTrigger } from './linkPreview';
export { dynamicPieces, MotionPreview, type PoseLookup, runPosing } from './motionPreview';
export { groundHeight, hiddenPieces } from './look';
export { posesAlong, type Travel, travelOf } from './travel';
export { courseHash } from './hash';
