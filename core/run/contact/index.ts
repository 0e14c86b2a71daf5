// What touches what: casts against the world, what is there, and standing clear.
export { isDisabled, isOpen } from './presence';
export { queryBox } from './near';
export {
  signedDistance,
  isBefore,
  outsideCurrentBounds,
  poseOf,
  castAgainst,
  castRunner,
  castCapsule,
} from './cast';
export { sensorHits } from './sense';
export { beginningOf, teleport, respawn, standClear } from './teleport';
