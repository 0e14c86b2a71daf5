import type { Piece } from '../../course';
import { familyOf, specOf } from '../../pieces';

/** A portal: its number's portals in the order they were laid, and what going through it does. */
export interface Portal {
  /** Place in World.pieces. */
  readonly piece: number;
  /** Places in World.portals, its own among them. */
  readonly alike: readonly number[];
  readonly byChance: boolean;
  readonly stops: boolean;
}

/** The portals among pieces, by their numbers. */
export function portalsOf(pieces: readonly Piece[], places: readonly number[]): Portal[] {
  const byPair = new Map<number, number[]>();
  const family = familyOf('portal');
  const specs = places.map((piece) => specOf(family, pieces[piece]));
  specs.forEach(({ number }, i) => {
    const list = byPair.get(number('pair'));
    if (list) list.push(i);
    else byPair.set(number('pair'), [i]);
  });
  return specs.map(({ number, choice }, i) => ({
    piece: places[i],
    alike: byPair.get(number('pair'))!,
    byChance: choice('exits') === 'chance',
    stops: choice('speed') === 'stops',
  }));
}
