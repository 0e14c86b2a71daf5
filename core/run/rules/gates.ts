import { FOREVER, type World } from '../world';
import type { RunState } from '../state';

/** Ticks a gate stays open when its switch lets it shut again. */
const OPEN_FOR = 480;

/** Sets off the lock of what is stood on, unless it is at work already. */
export function triggerCrumble(world: World, s: RunState): void {
  const c = world.colliders[s.ground];
  if (c === undefined || c.gate < 0) return;
  const lock = world.gates[c.gate];
  if (lock.kind !== 'gives') return;
  const since = s.gates[c.gate];
  if (since < 0 || s.tick - since >= lock.back) s.gates[c.gate] = s.tick;
}

/** Opens the gates of a switch's number: for good, or for a few seconds. Returns whether one was shut. */
export function openGates(world: World, s: RunState, piece: number): boolean {
  const told = world.switches.get(piece);
  if (!told) return false;
  const until = told.shuts ? s.tick + OPEN_FOR : FOREVER;
  // However many switches of one number are stood on at once, its gates are opened once.
  const at = 2 * told.pair;
  if (s.pairs[at] === s.tick && s.pairs[at + 1] >= until) return false;
  s.pairs[at] = s.tick;
  s.pairs[at + 1] = until;
  let opened = false;
  for (const i of told.gates) {
    opened ||= s.gates[i] <= s.tick;
    s.gates[i] = Math.max(s.gates[i], until);
  }
  return opened;
}
