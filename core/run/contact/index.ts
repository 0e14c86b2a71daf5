// What touches what: casts against the world, what is there, and standing clear.
export { isDisabled, isOpen } from './presence';
export { boxAround, outsideBox } from './near';
export { isFreeOfLoose, outsideCurrentBounds } from './currentBounds';
export {
  type CapsulePath,
  castAgainst,
  castAgainstOne,
  castCapsule,
  gapTo,
  isBefore,
  newCapsulePath,
  poseOf,
  runnerPath,
  signedDistance,
} from './cast';
export { sensorHits } from './sense';
export { beginningOf, overlapOf, reachOfNormal, teleport, respawn, standClear } from './teleport';
export { type Acted, applyField, beginForces, resetField } from './fields';
