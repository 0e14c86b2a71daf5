import { TICKS_PER_SECOND } from '../../motion';
import { rotate } from '../../geometry';
import type { Collider, World } from '../world';
import { FieldIndex, FIELD_SIZE, type RunState } from '../state';
import { poseOf } from '../contact';

/** How it is where no region is. */
export function resetField(world: World, s: RunState): void {
  const { field } = s;
  // Filling so short a list costs more than going through it.
  for (let i = 0; i < FIELD_SIZE; i++) field[i] = 0;
  field[FieldIndex.pace] = s.tick < s.speedUntil ? s.speedBy : 1;
  if (s.tick < s.slowUntil) field[FieldIndex.pace] *= SLOWED;
  field[FieldIndex.grip] = 1;
  field[FieldIndex.gravityY] = -world.gravity * (s.tick < s.gravityUntil ? s.gravityBy : 1);
}

/** Part of its pace that is left to a runner that was slowed. */
const SLOWED = 0.4;

/** Adds what a region does to a runner within it. Returns what else it does to it. */
export function applyRegion(world: World, s: RunState, c: Collider): 'hurt' | 'fall' | null {
  const told = c.field!;
  const { field } = s;
  switch (told.kind) {
    case 'push': {
      const { pose } = poseOf(world, s, c);
      const [x, y, z] = rotate(pose.turn, told.along);
      if (told.top === undefined) {
        field[FieldIndex.pushX] += x * told.force;
        field[FieldIndex.pushY] += y * told.force;
        field[FieldIndex.pushZ] += z * told.force;
      } else if (told.top >= field[FieldIndex.boostTop]) {
        field[FieldIndex.boost] = told.force;
        field[FieldIndex.boostX] = x;
        field[FieldIndex.boostY] = y;
        field[FieldIndex.boostZ] = z;
        field[FieldIndex.boostTop] = told.top;
      }
      return null;
    }
    case 'slow':
      field[FieldIndex.pace] *= told.part;
      return null;
    case 'slip':
      field[FieldIndex.grip] *= told.part;
      return null;
    case 'bounce':
      field[FieldIndex.bounce] = Math.max(field[FieldIndex.bounce], told.speed);
      return null;
    case 'gravity': {
      const g = world.gravity * told.part * (s.tick < s.gravityUntil ? s.gravityBy : 1);
      field[FieldIndex.gravityX] = told.along[0] * g;
      field[FieldIndex.gravityY] = told.along[1] * g;
      field[FieldIndex.gravityZ] = world.lane === null ? told.along[2] * g : 0;
      return null;
    }
    case 'size':
      s.size = world.sizeIndex(told.part);
      s.sizeUntil = Math.max(s.sizeUntil, s.tick + 1);
      return null;
    case 'points':
      s.worth += told.rate / TICKS_PER_SECOND;
      return null;
    case 'camera':
      field[FieldIndex.camera] = c.index + 1;
      return null;
    case 'quiet':
      field[FieldIndex.quiet] = c.index + 1;
      return null;
    case 'hurt':
    case 'fall':
      return told.kind;
    case 'touch':
      return null;
  }
}
