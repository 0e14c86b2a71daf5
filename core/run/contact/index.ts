// What touches what: casts against the world, what is there, and standing clear.
export { isAway, isOpen } from './presence';
export { nearBox } from './near';
export { gapTo, isBefore, isElsewhere, poseOf, sweepCollider, trace, traceBody } from './trace';
export { meetings } from './sense';
export { beginningOf, putAt, respawn, standClear } from './put';
