// What touches what: casts against the world, what is there, and standing clear.
export { isDisabled, isOpen } from './presence';
export { boxAround, outsideBox } from './near';
export {
  type CapsulePath,
  castAgainst,
  castCapsule,
  gapTo,
  isBefore,
  newCapsulePath,
  outsideCurrentBounds,
  poseOf,
  runnerPath,
  signedDistance,
} from './cast';
export { sensorHits } from './sense';
export { beginningOf, overlapOf, reachOfNormal, teleport, respawn, standClear } from './teleport';
