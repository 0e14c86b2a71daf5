import { TICKS_PER_SECOND } from '../../motion';
import type { Collider, World } from '../world';
import { FieldIndex, type RunState } from '../state';
import { addForce, beginForces } from '../contact';

/** How it is where no region is. */
export function resetField(world: World, s: RunState): void {
  const { field } = s;
  beginForces(world, s, field);
  field[FieldIndex.pace] = s.tick < s.speedUntil ? s.speedBy : 1;
  if (s.tick < s.slowUntil) field[FieldIndex.pace] *= SLOWED;
  field[FieldIndex.grip] = 1;
}

/** Part of its pace that is left to a runner that was slowed. */
const SLOWED = 0.4;

/** Adds what a region does to a runner within it. Returns what else it does to it. */
export function applyRegion(world: World, s: RunState, c: Collider): 'hurt' | 'fall' | null {
  const told = c.field!;
  const { field } = s;
  switch (told.kind) {
    case 'push':
    case 'gravity':
      addForce(world, s, c, field);
      return null;
    case 'slow':
      field[FieldIndex.pace] *= told.part;
      return null;
    case 'slip':
      field[FieldIndex.grip] *= told.part;
      return null;
    case 'bounce':
      field[FieldIndex.bounce] = Math.max(field[FieldIndex.bounce], told.speed);
      return null;
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
