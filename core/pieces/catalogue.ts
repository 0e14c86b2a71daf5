import type { Piece } from '../course';
import { specOf, type Family } from './family';
import { cairn, lantern, shell, start } from './marks';
import { arm, drift, thorns } from './movers';
import { beam, block, pillar, post, ramp, slab, steps } from './stones';

/** Every family, in the order of the tray. */
export const FAMILIES: readonly Family[] = [
  slab,
  block,
  ramp,
  steps,
  pillar,
  beam,
  post,
  thorns,
  arm,
  drift,
  shell,
  cairn,
  start,
  lantern,
];

const byId = new Map(FAMILIES.map((family) => [family.id, family]));

/** The family of that name, or nothing. */
export const findFamily = (id: string): Family | undefined => byId.get(id);

/**
 * The family of that name.
 * @throws Error when there is none
 */
export function familyOf(id: string): Family {
  const family = byId.get(id);
  if (!family) throw new Error(`There is no family "${id}".`);
  return family;
}

/** A cairn's place in the order of checkpoints. */
export const cairnNumber = (piece: Pick<Piece, 'params'>): number =>
  specOf(cairn, piece).number('number');
