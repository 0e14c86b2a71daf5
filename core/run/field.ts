import { rotate } from '../geometry';
import type { Collider } from './collider';
import type { RunState } from './state';
import { poseOf } from './trace';
import type { World } from './world';

/** What the regions about the runner do to it, as places in RunState.field. */
export const F = {
  /** Change of speed, m/s². */
  pushX: 0,
  pushY: 1,
  pushZ: 2,
  /** A boost's change of speed, m/s², its direction, and the speed it goes up to. */
  boost: 3,
  boostX: 4,
  boostY: 5,
  boostZ: 6,
  boostTop: 7,
  /** Parts of the usual pace and hold. */
  pace: 8,
  grip: 9,
  /** Speed off the ground, m/s; 0 for none. */
  bounce: 10,
  /** Gravity, m/s². */
  gravityX: 11,
  gravityY: 12,
  gravityZ: 13,
  /** The region of a camera and of quiet the runner is in, as a collider and one, or 0. */
  camera: 14,
  quiet: 15,
} as const;
export const FIELD_SIZE = 16;

/** How it is where no region is. */
export function restField(world: World, s: RunState): void {
  const { field } = s;
  // Filling so short a list costs more than going through it.
  for (let i = 0; i < FIELD_SIZE; i++) field[i] = 0;
  field[F.pace] = s.tick < s.speedUntil ? s.speedBy : 1;
  if (s.tick < s.slowUntil) field[F.pace] *= SLOWED;
  field[F.grip] = 1;
  field[F.gravityY] = -world.gravity * (s.tick < s.gravityUntil ? s.gravityBy : 1);
}

/** Part of its pace that is left to a runner that was slowed. */
const SLOWED = 0.4;

/** Adds what a region does to a runner within it. Returns what else it does to it. */
export function feelRegion(world: World, s: RunState, c: Collider): 'hurt' | 'fall' | null {
  const told = c.field!;
  const { field } = s;
  switch (told.kind) {
    case 'push': {
      const { pose } = poseOf(world, s, c);
      const [x, y, z] = rotate(pose.turn, told.along);
      if (told.top === undefined) {
        field[F.pushX] += x * told.force;
        field[F.pushY] += y * told.force;
        field[F.pushZ] += z * told.force;
      } else if (told.top >= field[F.boostTop]) {
        field[F.boost] = told.force;
        field[F.boostX] = x;
        field[F.boostY] = y;
        field[F.boostZ] = z;
        field[F.boostTop] = told.top;
      }
      return null;
    }
    case 'slow':
      field[F.pace] *= told.part;
      return null;
    case 'slip':
      field[F.grip] *= told.part;
      return null;
    case 'bounce':
      field[F.bounce] = Math.max(field[F.bounce], told.speed);
      return null;
    case 'gravity': {
      const g = world.gravity * told.part * (s.tick < s.gravityUntil ? s.gravityBy : 1);
      field[F.gravityX] = told.along[0] * g;
      field[F.gravityY] = told.along[1] * g;
      field[F.gravityZ] = world.lane === null ? told.along[2] * g : 0;
      return null;
    }
    case 'size':
      s.size = world.sizeOf(told.part);
      s.sizeUntil = Math.max(s.sizeUntil, s.tick + 1);
      return null;
    case 'points':
      s.worth += told.rate / 120;
      return null;
    case 'camera':
      field[F.camera] = c.index + 1;
      return null;
    case 'quiet':
      field[F.quiet] = c.index + 1;
      return null;
    case 'hurt':
    case 'fall':
      return told.kind;
    case 'touch':
      return null;
  }
}
