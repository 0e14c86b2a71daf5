import type { RunEvent } from '../run';

/** What a runner is about in a tick. */
export const PHASES = ['moving', 'waiting', 'air', 'hit', 'back'] as const;
export type RunPhase = (typeof PHASES)[number];

/** What a tick left, as far as it says what the runner was about. */
export interface Trace {
  /** For each tick whether the runner was on ground; the start first. */
  readonly ground: Uint8Array;
  /** Speed over the ground it is on, else in the world, m/s; the start first. */
  readonly speed: Float32Array;
  /** Foot places, x y z for each tick, the start first, m. */
  readonly path: Float64Array;
  readonly events: readonly RunEvent[];
}

/** On ground and slower than this is waiting, m/s. */
const WAITING = 0.3;
/** So near to where it was lost the runner has come back, m. */
const RETURNED = 1;

/**
 * What the runner was about in each tick, by number of `PHASES`. In this order: coming back, from a return until
 * it is again within a metre of where it last stood before; off the ground by a hit, until it touches ground;
 * in the air; waiting; moving.
 */
export function phasesOf({ ground, speed, path, events }: Trace): Uint8Array {
  const phases = new Uint8Array(ground.length);
  const returns = returnsOf(events, ground, path);
  const hits = events.filter(({ kind }) => kind === 'hazard' || kind === 'crush');
  let lost: Lost | null = null;
  let thrown = false;
  let hit = 0;
  let next = 0;
  for (let tick = 0; tick < ground.length; tick++) {
    while (next < returns.length && returns[next].tick <= tick) lost = returns[next++];
    while (hit < hits.length && hits[hit].tick <= tick) {
      thrown = true;
      hit++;
    }
    if (thrown && ground[tick] === 1 && !hits.some((one) => one.tick === tick)) thrown = false;
    if (lost && distanceTo(path, tick, lost) < RETURNED && tick > lost.tick) lost = null;
    phases[tick] = lost ? 4 : thrown ? 3 : ground[tick] === 0 ? 2 : speed[tick] < WAITING ? 1 : 0;
  }
  return phases;
}

/** A return, and where the runner last stood before it. */
interface Lost {
  readonly tick: number;
  readonly at: readonly [number, number, number];
}

function returnsOf(events: readonly RunEvent[], ground: Uint8Array, path: Float64Array): Lost[] {
  return events.flatMap(({ kind, tick }): Lost[] => {
    if (kind !== 'respawn') return [];
    const stood = lastStand(ground, tick - 1);
    return [{ tick, at: [path[3 * stood], path[3 * stood + 1], path[3 * stood + 2]] }];
  });
}

/** The last tick up to one at which the runner was on ground. */
export function lastStand(ground: Uint8Array, tick: number): number {
  let at = Math.min(tick, ground.length - 1);
  while (at > 0 && ground[at] === 0) at--;
  return Math.max(0, at);
}

function distanceTo(path: Float64Array, tick: number, { at: [x, y, z] }: Lost): number {
  const [dx, dy, dz] = [path[3 * tick] - x, path[3 * tick + 1] - y, path[3 * tick + 2] - z];
  return Math.sqrt(dx * dx + dy * dy + dz * dz);
}
