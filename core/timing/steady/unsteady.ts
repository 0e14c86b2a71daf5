import { TICKS_PER_SECOND } from '../../motion';
import type { Pressed } from '../pressed';
import { normals } from './statistics';

/** How far off people are when they press what they mean to, in ticks where not told otherwise. */
export const HAND = {
  /** Spread of each edge of the button, by itself: 35 ms. */
  button: 0.035 * TICKS_PER_SECOND,
  /** Of what the pad is late, which changes slowly: 35 ms, over half a second. */
  pad: 0.035 * TICKS_PER_SECOND,
  padOver: 0.5 * TICKS_PER_SECOND,
  /** Of what everything is late together: 15 ms, over two seconds. */
  drift: 0.015 * TICKS_PER_SECOND,
  driftOver: 2 * TICKS_PER_SECOND,
} as const;

/** A value that wanders about nothing with a spread, and is another after so many ticks (Ornstein and Uhlenbeck, 1930). */
function wandering(normal: () => number, spread: number, over: number): () => number {
  const keeps = Math.exp(-1 / over);
  const adds = spread * Math.sqrt(1 - keeps * keeps);
  let value = spread * normal();
  return () => (value = keeps * value + adds * normal());
}

/**
 * What a hand presses in a stretch of a run when it means to press what was pressed: each edge of the button a
 * little early or late, in their order, the pad by a lateness that changes slowly.
 *
 * @param pressed what is meant, tick by tick
 * @param begin the first tick of the stretch
 * @param end the tick after its last
 * @param random numbers from 0 to just under 1, the same for the same try
 */
export function unsteady(
  pressed: Pressed,
  begin: number,
  end: number,
  random: () => number,
): Pressed {
  const normal = normals(random);
  const padLate = wandering(normal, HAND.pad, HAND.padOver);
  const allLate = wandering(normal, HAND.drift, HAND.driftOver);
  const x = pressed.x.slice();
  const z = pressed.z.slice();
  const jump = pressed.jump.slice();
  const late = new Float64Array(end - begin);
  for (let at = begin; at < end; at++) {
    late[at - begin] = allLate();
    const meant = Math.min(end - 1, Math.max(begin, Math.round(at - late[at - begin] - padLate())));
    x[at] = pressed.x[meant];
    z[at] = pressed.z[meant];
  }
  moveEdges(pressed.jump, jump, begin, end, (at) => late[at - begin] + HAND.button * normal());
  return { x, z, jump };
}

/** Moves each edge of a button by so much, none before the one that comes before it. */
function moveEdges(
  meant: Uint8Array,
  jump: Uint8Array,
  begin: number,
  end: number,
  by: (at: number) => number,
): void {
  jump.fill(meant[begin], begin, end);
  let last = begin;
  for (let at = begin + 1; at < end; at++) {
    if (meant[at] === meant[at - 1]) continue;
    const moved = Math.min(end, Math.max(last + 1, Math.round(at + by(at))));
    jump.fill(meant[at], moved, end);
    last = moved;
  }
}
