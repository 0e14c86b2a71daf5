// All that changes while a run goes on, and what is told of it.
export {
  cloneState,
  PROJECTILE_SIZE,
  FULL_AIM,
  FULL_PAD,
  type Input,
  saveCheckpoint,
  LINK_SIZE,
  type LooseSimulation,
  NO_INPUT,
  nothingTouched,
  padSteps,
  restoreCheckpoint,
  type RunState,
  SKIN,
  tideOf,
} from './state';
export type { Emit, RunEvent } from './event';
export { type EmitEvent, eventEmitter } from './eventEmitter';
export { nextRandom } from './chance';
export { addSegment, beginPath, newPath, type Trajectory } from './trajectory';
export { FieldIndex, FIELD_SIZE } from './fieldLayout';
