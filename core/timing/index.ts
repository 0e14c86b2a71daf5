export { bestParts, partsOf, type RunPart, sumOfBest } from './parts';
export { PHASES, phasesOf, type RunPhase, type Trace } from './phases';
export { type GapPoint, gapsAlong, wayAlong } from './progress';
export { type Mishap, type RunSheet, runSheet, type WaySample } from './sheet';
