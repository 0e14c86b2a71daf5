import { rotate } from '../../geometry';
import type { Collider, World } from '../world';
import { FieldIndex, type RunState } from '../state';
import { poseOf } from './cast';

/** Of a field that is to be filled: nothing acts but the course's gravity. */
export function beginForces(world: World, s: RunState, field: Float64Array): void {
  // Filling so short a list costs more than going through it.
  for (let i = 0; i < field.length; i++) field[i] = 0;
  field[FieldIndex.gravityY] = -world.gravity * (s.tick < s.gravityUntil ? s.gravityBy : 1);
}

/**
 * Adds what a region does that acts alike on the runner and on what is loose, as the piece that bears it stands now:
 * winds and pushes add up; of boosts the one that leads to the highest speed counts; of weights the smallest region,
 * which lies innermost.
 * @param world the course made ready
 * @param s the run’s state
 * @param c the region
 * @param field what acts so far, as FieldIndex says; changed
 * @returns whether it is a region of such a kind
 */
export function addForce(world: World, s: RunState, c: Collider, field: Float64Array): boolean {
  const told = c.field;
  if (told?.kind !== 'push' && told?.kind !== 'gravity') return false;
  const { pose } = poseOf(world, s, c);
  const [x, y, z] = rotate(pose.turn, told.along);
  if (told.kind === 'gravity') {
    const within = field[FieldIndex.weighs];
    if (within > 0 && c.room >= within) return true;
    const g = world.gravity * told.part * (s.tick < s.gravityUntil ? s.gravityBy : 1);
    field[FieldIndex.weighs] = c.room;
    field[FieldIndex.gravityX] = x * g;
    field[FieldIndex.gravityY] = y * g;
    field[FieldIndex.gravityZ] = world.lane === null ? z * g : 0;
  } else if (told.top === undefined) {
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
  return true;
}
