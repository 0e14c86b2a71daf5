// What being somewhere, touching something or a link brings about.
export { missingPickups, watchRound } from './goal';
export { missingCheckpoint } from './checkpoints';
export { hurt, isThere, meet } from './meet';
export { feelRegion, restField } from './field';
export { standOn } from './gates';
export { drive, startDrives, USUAL_RANGE, wakeMovers, wakeTouched } from './drive';
export { copyPlace, copySpeed, throwCopies } from './thrower';
export { actOnLinks, dueAt, leave, watchPiece } from './link';
export { breakPiece } from './effects';
export { forget, type Happened, nothingHappened } from './happened';
