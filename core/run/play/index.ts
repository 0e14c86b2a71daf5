// A run from its beginning to its end: a tick, replays, proofs, and looking without a runner.
export { tick } from './tick';
export { startState } from './begin';
export { beginAt } from './from';
export { poseHash, replay, type RunResult, summarise } from './replay';
export { CORE_VERSION, MAX_RUN_TICKS, Recorder, type Run, RunSchema } from './record';
export { roundsOf, type Split, splitsOf } from './splits';
export { byRank, ranksBefore, type Score } from './rank';
export { ReplayRefused, verifyRun } from './verify';
export { DryRun, type Firing, type Tried } from './dry';
export { livelyPieces, Playing, type Posing, runPosing } from './lively';
export { floorBelow, goneFrom } from './look';
export { posesAlong, type Travel, travelOf } from './travel';
export { courseHash } from './hash';
