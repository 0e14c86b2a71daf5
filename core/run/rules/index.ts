// What being somewhere, touching something or a link brings about.
export { missingPickups, watchRound } from './goal';
export { missingCheckpoint } from './checkpoints';
export { hurtByCopy, hurtByPiece } from './hurt';
export { isPickupPresent, onSensor } from './sensors';
export { triggerCrumble } from './gates';
export { stepFollowers, startDrives, USUAL_RANGE, wakeMovers, wakeTouched } from './followers';
export { copyPlace, copySpeed, stepProjectiles } from './emitters';
export { actOnLinks, dueAt, leave, watchPiece } from './links';
export { breakPiece } from './break';
export { clearEvents, type TickEvents, nothingHappened } from './tickEvents';
