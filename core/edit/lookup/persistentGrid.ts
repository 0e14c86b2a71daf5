import type { Piece } from '../../course';

/** Something by the number of the cell it is in. */
export type Celled<T> = readonly (readonly [cell: number, thing: T])[];

/** Things by the cells they are in. It never changes: another is made of it by what differs. */
export class PersistentGrid<T> {
  private constructor(private readonly lists: ReadonlyMap<number, readonly T[]>) {}

  static readonly none = new PersistentGrid<never>(new Map());

  in(cell: number): readonly T[] {
    return this.lists.get(cell) ?? NOTHING;
  }

  all(): IterableIterator<readonly T[]> {
    return this.lists.values();
  }

  /** The same without some things and with others. */
  changed(gone: Celled<T>, come: Celled<T>): PersistentGrid<T> {
    const lists = new Map<number, readonly T[]>(this.lists);
    // Lists made here may be added to; those of the other are not to be touched.
    const own = new Map<number, T[]>();
    const listOf = (cell: number): T[] => {
      let list = own.get(cell);
      if (!list) {
        list = [...(lists.get(cell) ?? NOTHING)];
        own.set(cell, list);
        lists.set(cell, list);
      }
      return list;
    };
    for (const [cell, thing] of gone) {
      const list = listOf(cell);
      const at = list.indexOf(thing);
      if (at >= 0) list.splice(at, 1);
    }
    for (const [cell, thing] of come) listOf(cell).push(thing);
    return new PersistentGrid(lists);
  }
}

const NOTHING: readonly never[] = [];

/** Pieces that one list has and another has not, either way. */
export interface Difference {
  readonly gone: readonly Piece[];
  readonly come: readonly Piece[];
}

/** What differs between two lists of pieces; quickly found where it is little, as after most edits. */
export function differenceOf(before: readonly Piece[], after: readonly Piece[]): Difference {
  const shorter = Math.min(before.length, after.length);
  let head = 0;
  while (head < shorter && before[head] === after[head]) head++;
  let tail = 0;
  while (tail < shorter - head && before.at(-1 - tail) === after.at(-1 - tail)) tail++;
  const [from, to] = [
    before.slice(head, before.length - tail),
    after.slice(head, after.length - tail),
  ];
  const [had, has] = [new Set(from), new Set(to)];
  return {
    gone: from.filter((piece) => !has.has(piece)),
    come: to.filter((piece) => !had.has(piece)),
  };
}

/**
 * An index over the pieces of a course, made once for each state of it, and of the last one that was asked for
 * by what differs from that.
 */
export function incrementalIndex<I>(
  none: I,
  change: (index: I, difference: Difference) => I,
): (pieces: readonly Piece[]) => I {
  const known = new WeakMap<readonly Piece[], I>();
  let last: { readonly pieces: readonly Piece[]; readonly index: I } = { pieces: [], index: none };
  return (pieces) => {
    let index = known.get(pieces);
    if (!index) {
      index = change(last.index, differenceOf(last.pieces, pieces));
      known.set(pieces, index);
    }
    last = { pieces, index };
    return index;
  };
}
