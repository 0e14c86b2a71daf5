import type { Family } from '../../family';
import { block, ashlar, float, boulder } from './blocks';
import { ramp, ridge, hip, steps, spiral } from './slopes';
import { pillar, column, arch, bridge, stack3 } from './uprights';

export const STONES: readonly Family[] = [
  block,
  ashlar,
  float,
  boulder,
  ramp,
  ridge,
  hip,
  steps,
  spiral,
  pillar,
  column,
  arch,
  bridge,
  stack3,
];
