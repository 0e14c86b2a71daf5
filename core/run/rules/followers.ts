import { type Driven, TICKS_PER_SECOND } from '../../motion';
import { CHASE_REACH, type Mover, type World } from '../world';
import { nextRandom, type RunState } from '../state';

// Motions that follow the runner or chance. Each keeps six numbers: what it has come to, and what it
// had come to a tick ago.

/** Draws what chance decides of the movers when a run begins. */
export function startDrives(world: World, s: RunState): void {
  for (const { driven, drive } of world.movers) {
    if (driven?.kind !== 'drift') continue;
    for (let axis = 0; axis < 3; axis++) {
      const spread = driven.spread?.[axis] ?? 0;
      const speed = driven.velocity[axis] + (spread === 0 ? 0 : spread * (2 * nextRandom(s) - 1));
      s.dynamicPoses[drive + axis] = speed;
      s.dynamicPoses[drive + 3 + axis] = speed;
    }
  }
}

/** Seconds something takes to slide into its place once the runner is there. */
const ARRIVAL = 0.8;

/** Moves on what follows the runner, by one tick. */
export function stepFollowers(world: World, s: RunState): void {
  for (const mover of world.runnerDriven) {
    const i = mover.drive;
    for (let axis = 0; axis < 3; axis++) s.dynamicPoses[i + 3 + axis] = s.dynamicPoses[i + axis];
    if (s.moverFrom[mover.index] < 0 || s.moverAt[mover.index] >= 0) continue;
    if (mover.driven!.kind === 'chase') chase(world, s, mover, mover.driven as never);
    else arrive(s, mover, mover.driven as never);
  }
}

function chase(
  world: World,
  s: RunState,
  { at, drive: i }: Mover,
  { range, speed, home }: Extract<Driven, { kind: 'chase' }>,
): void {
  const { dynamicPoses } = s;
  const to = [s.x - at[0], s.y - at[1], world.lane === null ? s.z - at[2] : 0];
  const off = [to[0] - dynamicPoses[i], to[1] - dynamicPoses[i + 1], to[2] - dynamicPoses[i + 2]];
  const near = off[0] * off[0] + off[1] * off[1] + off[2] * off[2] <= range * range;
  if (!near && !home) return;
  const goal = near ? to : [0, 0, 0];
  const way = [
    goal[0] - dynamicPoses[i],
    goal[1] - dynamicPoses[i + 1],
    goal[2] - dynamicPoses[i + 2],
  ];
  const length = Math.sqrt(way[0] * way[0] + way[1] * way[1] + way[2] * way[2]);
  const step = Math.min(length, speed / TICKS_PER_SECOND);
  if (step < 1e-9) return;
  const next = way.map((v, axis) => dynamicPoses[i + axis] + (v * step) / length);
  const far = Math.sqrt(next[0] * next[0] + next[1] * next[1] + next[2] * next[2]);
  // It never leaves the room its colliders were looked up for.
  if (far > CHASE_REACH * range) return;
  for (let axis = 0; axis < 3; axis++) dynamicPoses[i + axis] = next[axis];
}

function arrive(
  s: RunState,
  { at, drive: i }: Mover,
  { distance }: Extract<Driven, { kind: 'arrive' }>,
): void {
  const [dx, dy, dz] = [s.x - at[0], s.y - at[1], s.z - at[2]];
  if (s.dynamicPoses[i] === 0 && dx * dx + dy * dy + dz * dz > distance * distance) return;
  s.dynamicPoses[i] = Math.min(1, s.dynamicPoses[i] + 1 / (TICKS_PER_SECOND * ARRIVAL));
}

/** Wakes movers the runner has come near to, and has those sleep that it has left behind. */
export function wakeMovers(world: World, s: RunState): void {
  for (const { index, wake, at, drive: i, driven } of world.triggeredMovers) {
    const far = driven?.kind === 'chase';
    const dx = s.x - at[0] - (far ? s.dynamicPoses[i] : 0);
    const dy = s.y - at[1] - (far ? s.dynamicPoses[i + 1] : 0);
    const dz = s.z - at[2] - (far ? s.dynamicPoses[i + 2] : 0);
    const square = dx * dx + dy * dy + dz * dz;
    const range = wake!.range ?? USUAL_RANGE;
    const running = s.moverFrom[index] >= 0 && s.moverAt[index] < 0;
    if (!running && wake!.by === 'near' && square <= range * range) startMover(s, index);
    else if (running && wake!.sleep !== undefined) {
      const sleep = Math.max(wake!.sleep, wake!.by === 'near' ? range : 0);
      if (square > sleep * sleep) stopMover(s, index);
    }
  }
}

/** Range of what says none, m. */
export const USUAL_RANGE = 8;

/** Has a mover run on from where it stands. */
export function startMover(s: RunState, index: number): void {
  if (s.moverAt[index] >= 0) {
    s.moverFrom[index] = s.tick - s.moverAt[index];
    s.moverAt[index] = -1;
  } else if (s.moverFrom[index] < 0) s.moverFrom[index] = s.tick;
}

/** Holds a mover where it is. */
export function stopMover(s: RunState, index: number): void {
  if (s.moverFrom[index] < 0 || s.moverAt[index] >= 0) return;
  s.moverAt[index] = Math.max(0, s.tick - s.moverFrom[index]);
}

/** Wakes what sleeps until it is touched. */
export function wakeTouched(world: World, s: RunState, piece: number): void {
  for (const { index, wake, piece: own } of world.triggeredMovers) {
    if (own === piece && wake!.by === 'touch') startMover(s, index);
  }
}
