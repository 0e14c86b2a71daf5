import type { Family } from '../../family';
import { straight, bend, banked, chicane } from './bends';
import { loop, buffer, cup } from './ends';
import { widening, funnel, split, join, crossing } from './forks';
import { rising, falling, crest, dip, lip, landing } from './slopes';

export { BED } from './bed';
export { arcEnd } from './bends';

export const TRACK: readonly Family[] = [
  straight,
  bend,
  banked,
  chicane,
  rising,
  falling,
  crest,
  dip,
  lip,
  landing,
  widening,
  funnel,
  split,
  join,
  crossing,
  loop,
  buffer,
  cup,
];
