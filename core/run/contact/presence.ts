import type { Collider, World } from '../world';
import type { RunState } from '../state';

/** Whether a lock is open: what it bars may be passed. */
export function isOpen(world: World, s: RunState, index: number): boolean {
  const lock = world.gates[index];
  const since = s.gates[index];
  if (lock.kind === 'gives') {
    return since >= 0 && s.tick - since >= lock.hold && s.tick - since < lock.back;
  }
  // What was gathered in the leg being run counts; without legs that is the whole run.
  if (lock.opens === 'count' && s.gatheredCount - s.legGathered >= lock.amount) return true;
  if (lock.opens === 'worth' && s.worth - s.legWorth >= lock.amount) return true;
  return s.tick < since;
}

/** Whether a collider is away at the state's tick: hidden, broken, given way or open. */
export const isDisabled = (world: World, s: RunState, c: Collider): boolean =>
  s.away[c.piece] === 1 || (c.gate >= 0 && c.role === 'solid' && isOpen(world, s, c.gate));
