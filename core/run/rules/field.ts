import { rotate } from '../../geometry';
import type { Collider, World } from '../world';
import { F, FIELD_SIZE, type RunState } from '../state';
import { poseOf } from '../contact';

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
