import type { Family } from '../family';
import { undertow, eddy } from './pulling';
import { thorns, spikes, crusher, vent, lightBeam } from './striking';
import { arm, roller, saw, barrel, whirl } from './turning';

/** What hurts, in the order it is shown in. */
export const HAZARDS: readonly Family[] = [
  thorns,
  spikes,
  arm,
  roller,
  saw,
  crusher,
  vent,
  lightBeam,
  barrel,
  whirl,
  undertow,
  eddy,
];
