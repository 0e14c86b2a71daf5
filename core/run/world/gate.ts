import { ticksOf } from './time';
import type { Piece } from '../../course';
import { familyOf, specOf } from '../../pieces';

/**
 * What takes a solid away for a time, or keeps a goal shut: a slab that gives way some ticks after it was
 * first stood on and is back later; or what opens by a switch of its number, by what was gathered, or by
 * a link.
 */
export type Gate =
  | { readonly kind: 'gives'; readonly hold: number; readonly back: number }
  | {
      readonly kind: 'barred';
      readonly opens: 'always' | 'pair' | 'count' | 'worth' | 'link';
      readonly pair: number;
      readonly amount: number;
    };

/** The lock of a piece's shapes that have one. */
export function gateOf(piece: Piece, kind: Gate['kind']): Gate {
  const { number, choice } = specOf(familyOf(piece.family), piece);
  return kind === 'gives'
    ? {
        kind,
        hold: ticksOf(number('hold')),
        back: ticksOf(number('hold') + number('back')),
      }
    : {
        kind,
        // A piece that is a goal by its role alone says nothing of this.
        opens: (choice('opens') as 'pair' | undefined) ?? 'always',
        pair: number('pair') ?? 0,
        amount: number('amount') ?? 0,
      };
}

/** What a switch does: the locks of its number, and whether they shut again. */
export interface Switch {
  /** The place of its number among those that switches carry. */
  readonly pair: number;
  readonly gates: readonly number[];
  readonly shuts: boolean;
}

/** The switches of a course by their pieces; gates are looked up by number once. */
export function switchesOf(
  pieces: readonly Piece[],
  locks: readonly Gate[],
): ReadonlyMap<number, Switch> {
  const byPair = new Map<number, number[]>();
  locks.forEach((lock, i) => {
    if (lock.kind !== 'barred' || lock.opens !== 'pair') return;
    const list = byPair.get(lock.pair);
    if (list) list.push(i);
    else byPair.set(lock.pair, [i]);
  });
  const switches = new Map<number, Switch>();
  const numbers: number[] = [];
  pieces.forEach((piece, i) => {
    if (piece.family !== 'switch') return;
    const { number, choice } = specOf(familyOf(piece.family), piece);
    if (!numbers.includes(number('pair'))) numbers.push(number('pair'));
    switches.set(i, {
      pair: numbers.indexOf(number('pair')),
      gates: byPair.get(number('pair')) ?? [],
      shuts: choice('after') === 'shut',
    });
  });
  return switches;
}
