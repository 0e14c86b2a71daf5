// A run from its beginning to its end: a tick, replays, proofs, and looking without a runner.
export { tick } from './tick';
export { initialState } from './begin';
export { beginAt, beginningOfRun, facingAlong, type RunFrom } from './from';
export { Film } from './film';
export { type HeldRunner, heldRunner, tickFlown, tickHeld } from './hold';
export { firstTicks } from './moment';
export { type CarryProblem, carryState, type StateKeys, stateKeys } from './carry';
export { poseHash, replay, type ReplayOptions, type RunResult, summarise } from './replay';
export { CORE_VERSION, MAX_RUN_TICKS, normalRun, Recorder, type Run, RunSchema } from './record';
export { roundsOf, type Split, splitsOf } from './splits';
export { byRank, ranksBefore, type Score } from './rank';
export { ReplayRefused, verifyRun } from './verify';
export { LinkPreview, type TriggerRecord, type ManualTrigger } from './linkPreview';
export { dynamicPieces, MotionPreview, type PoseLookup, runPosing } from './motionPreview';
export { groundHeight, hasPicture, heightOver, hiddenPieces } from './look';
export { posesAlong, type Travel, travelOf } from './travel';
export { courseHash } from './hash';
