// A course made ready to run: what a tick reads, and how it is compiled.
export { DT, ticksOf } from './time';
export {
  type Cart,
  type Flick,
  type Hopper,
  hopperOf,
  type Roller,
  type Runner,
  RUNNER_SPECS,
  runnerOf,
  SECONDS_TO_TOP_SPEED,
  SLOPE_LIMIT,
  STEP_HEIGHT,
} from './runners';
export { formBounds, centreHeight, type Capsule, fitsRestFrame, InflatedShapes } from './capsule';
export { carriedAlong, type Collider, BROADPHASE_MARGIN, type Mouth } from './collider';
export { newQueryBox, type Boxed, type QueryBox } from './broadPhase';
export { type Clocks, DRIVE_SIZE, layLoose, LOOSE_SIZE, type Mover, moverTick } from './mover';
export { compileMovers } from './compileMovers';
export { poseMover } from './poseMover';
export { CHASE_REACH } from './moverReach';
export type { ProjectileEmitter } from './emitter';
export { tideLine } from './tide';
export { legMarks, nearestOf } from './legs';
export { laneOf } from './spawnPoints';
export type { LinkIndex, ReadyLink } from './linkIndex';
export { type Contact, newContact } from './contact';
export {
  DEFAULT_GRAVITY,
  DEFAULT_HOLD,
  DEFAULT_LAPS,
  NotRunnable,
  type SpawnPoint,
  spotAt,
  type World,
} from './world';
export { buildWorld } from './buildWorld';
export { FOREVER } from './forever';
