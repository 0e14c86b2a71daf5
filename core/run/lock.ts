import type { Piece } from '../course';
import { familyOf, specOf } from '../pieces';
import type { Collider } from './collider';
import type { RunState } from './state';
import type { World } from './world';

/**
 * What takes a solid away for a time: a slab that gives way some ticks after it was first stood on and
 * is back later, or a gate while a switch of its number holds it open.
 */
export type Lock =
  | { readonly kind: 'gives'; readonly hold: number; readonly back: number }
  | { readonly kind: 'barred'; readonly pair: number };

/** Ticks a gate stays open when its switch lets it shut again. */
const OPEN_FOR = 480;

/** The lock of a piece's shapes that have one. */
export function lockOf(piece: Piece, kind: Lock['kind']): Lock {
  const { number } = specOf(familyOf(piece.family), piece);
  return kind === 'gives'
    ? {
        kind,
        hold: Math.round(number('hold') * 120),
        back: Math.round((number('hold') + number('back')) * 120),
      }
    : { kind, pair: number('pair') };
}

/** Whether a collider is away at the state's tick. A lock holds the tick it was set off, or -1. */
export function isAway(world: World, s: RunState, c: Collider): boolean {
  if (c.lock < 0) return false;
  const since = s.locks[c.lock];
  if (since < 0) return false;
  const lock = world.locks[c.lock];
  if (lock.kind === 'barred') return s.tick < since;
  return s.tick - since >= lock.hold && s.tick - since < lock.back;
}

/** Sets off the lock of what is stood on, unless it is at work already. */
export function standOn(world: World, s: RunState): void {
  const c = world.colliders[s.ground];
  if (c === undefined || c.lock < 0) return;
  const lock = world.locks[c.lock];
  if (lock.kind !== 'gives') return;
  const since = s.locks[c.lock];
  if (since < 0 || s.tick - since >= lock.back) s.locks[c.lock] = s.tick;
}

/** Opens the gates of a switch's number: for good, or for a few seconds. */
export function openGates(world: World, s: RunState, piece: Piece): boolean {
  const { number, choice } = specOf(familyOf(piece.family), piece);
  const until = choice('after') === 'shut' ? s.tick + OPEN_FOR : 0x7fffffff;
  let opened = false;
  world.locks.forEach((lock, i) => {
    if (lock.kind !== 'barred' || lock.pair !== number('pair')) return;
    opened ||= s.locks[i] <= s.tick;
    s.locks[i] = Math.max(s.locks[i], until);
  });
  return opened;
}
