// A course made ready to run: what a tick reads, and how it is compiled.
export {
  type Cart,
  DT,
  type Flick,
  type Hopper,
  hopperOf,
  type Roller,
  type Runner,
  RUNNER_DEFAULTS,
  RUNNER_PRESETS,
  runnerOf,
  SECONDS_TO_TOP_SPEED,
  SLOPE_LIMIT,
  STEP_HEIGHT,
} from './runner';
export { formBounds, liftOf, type Rounded, seenAtRest } from './form';
export { carriedAlong, type Collider, MARGIN, type Mouth } from './collider';
export type { Near } from './broadPhase';
export {
  CHASE_REACH,
  type Clocks,
  layLoose,
  LOOSE_SIZE,
  type Mover,
  moversOf,
  moverTick,
  poseMover,
} from './mover';
export type { Throwing } from './throwing';
export { tideLine } from './tide';
export { legMarks, nearestOf } from './legs';
export type { LinkIndex, ReadyLink } from './linkIndex';
export { type Contact, newContact } from './contact';
export {
  DEFAULT_GRAVITY,
  DEFAULT_HOLD,
  DEFAULT_LAPS,
  NotRunnable,
  type Spot,
  spotAt,
  type World,
} from './world';
export { buildWorld } from './buildWorld';
export { FOR_GOOD } from './forever';
