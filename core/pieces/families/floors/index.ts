import type { Family } from '../../family';
import { slab, grate, boards, setts, court, bridgeDeck } from './laid';
import { round, hexagon, octagon, ell, ring, well } from './outlined';
import { ice, mud, turf, spring } from './sheets';

export const FLOORS: readonly Family[] = [
  slab,
  round,
  hexagon,
  octagon,
  ell,
  ring,
  well,
  grate,
  boards,
  setts,
  court,
  ice,
  mud,
  turf,
  spring,
  bridgeDeck,
];
