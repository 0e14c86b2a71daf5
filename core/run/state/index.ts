// All that changes while a run goes on, and what is told of it.
export {
  cloneState,
  COPY_SIZE,
  FULL_AIM,
  FULL_PAD,
  type Input,
  keepThings,
  LINK_SIZE,
  type LooseSimulation,
  NO_INPUT,
  nothingTouched,
  padSteps,
  restoreThings,
  type RunState,
  SKIN,
  tideOf,
} from './state';
export type { Emit, RunEvent } from './event';
export { type Say, sayer } from './tell';
export { chance } from './chance';
export { addLeg, beginPath, newPath, type Path } from './path';
export { F, FIELD_SIZE } from './fieldLayout';
