import type { Piece } from '../course';
import { familyOf, specOf } from '../pieces';
import type { Collider } from './collider';
import type { RunState } from './state';
import type { World } from './world';

/**
 * What takes a solid away for a time, or keeps a goal shut: a slab that gives way some ticks after it was
 * first stood on and is back later; or what opens by a switch of its number, by what was gathered, or by
 * a link.
 */
export type Lock =
  | { readonly kind: 'gives'; readonly hold: number; readonly back: number }
  | {
      readonly kind: 'barred';
      readonly opens: 'always' | 'pair' | 'count' | 'worth' | 'link';
      readonly pair: number;
      readonly amount: number;
    };

/** Ticks a gate stays open when its switch lets it shut again. */
const OPEN_FOR = 480;
export const FOR_GOOD = 0x7fffffff;

/** The lock of a piece's shapes that have one. */
export function lockOf(piece: Piece, kind: Lock['kind']): Lock {
  const { number, choice } = specOf(familyOf(piece.family), piece);
  return kind === 'gives'
    ? {
        kind,
        hold: Math.round(number('hold') * 120),
        back: Math.round((number('hold') + number('back')) * 120),
      }
    : {
        kind,
        // A piece that is a goal by its role alone says nothing of this.
        opens: (choice('opens') as 'pair' | undefined) ?? 'always',
        pair: number('pair') ?? 0,
        amount: number('amount') ?? 0,
      };
}

/** Whether a lock is open: what it bars may be passed. */
export function isOpen(world: World, s: RunState, index: number): boolean {
  const lock = world.locks[index];
  const since = s.locks[index];
  if (lock.kind === 'gives') {
    return since >= 0 && s.tick - since >= lock.hold && s.tick - since < lock.back;
  }
  // What was gathered in the leg being run counts; without legs that is the whole run.
  if (lock.opens === 'count' && s.gatheredCount - s.legGathered >= lock.amount) return true;
  if (lock.opens === 'worth' && s.worth - s.legWorth >= lock.amount) return true;
  return s.tick < since;
}

/** Whether a collider is away at the state's tick: hidden, broken, given way or open. */
export const isAway = (world: World, s: RunState, c: Collider): boolean =>
  s.away[c.piece] === 1 || (c.lock >= 0 && c.role === 'solid' && isOpen(world, s, c.lock));

/** Sets off the lock of what is stood on, unless it is at work already. */
export function standOn(world: World, s: RunState): void {
  const c = world.colliders[s.ground];
  if (c === undefined || c.lock < 0) return;
  const lock = world.locks[c.lock];
  if (lock.kind !== 'gives') return;
  const since = s.locks[c.lock];
  if (since < 0 || s.tick - since >= lock.back) s.locks[c.lock] = s.tick;
}

/** What a switch does: the locks of its number, and whether they shut again. */
export interface Switch {
  /** The place of its number among those that switches carry. */
  readonly pair: number;
  readonly locks: readonly number[];
  readonly shuts: boolean;
}

/** The switches of a course by their pieces; gates are looked up by number once. */
export function switchesOf(
  pieces: readonly Piece[],
  locks: readonly Lock[],
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
      locks: byPair.get(number('pair')) ?? [],
      shuts: choice('after') === 'shut',
    });
  });
  return switches;
}

/** Opens the gates of a switch's number: for good, or for a few seconds. Returns whether one was shut. */
export function openGates(world: World, s: RunState, piece: number): boolean {
  const told = world.switches.get(piece);
  if (!told) return false;
  const until = told.shuts ? s.tick + OPEN_FOR : FOR_GOOD;
  // However many switches of one number are stood on at once, its gates are opened once.
  const at = 2 * told.pair;
  if (s.pairs[at] === s.tick && s.pairs[at + 1] >= until) return false;
  s.pairs[at] = s.tick;
  s.pairs[at + 1] = until;
  let opened = false;
  for (const i of told.locks) {
    opened ||= s.locks[i] <= s.tick;
    s.locks[i] = Math.max(s.locks[i], until);
  }
  return opened;
}
