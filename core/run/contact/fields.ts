import { rotate } from '../../geometry';
import { TICKS_PER_SECOND, applyPose } from '../../motion';
import type { FieldKind, FieldOf } from '../../pieces';
import type { Collider, World } from '../world';
import { FieldIndex, type RunState } from '../state';
import { poseOf } from './cast';

/** Part of its pace that is left to a runner that was slowed. */
const SLOWED = 0.4;
/** Nearer than this to the middle of a pull or a swirl it grows weaker, down to nothing, m. */
const CORE = 0.5;

/** A runner or a loose piece in a field: all that acts on it so far, as `FieldIndex` says, and its middle, m. */
export interface Acted {
  field: Float64Array;
  x: number;
  y: number;
  z: number;
}

/** Nothing acts but the course's gravity. */
export function beginForces(world: World, s: RunState, field: Float64Array): void {
  // Filling so short a list costs more than going through it.
  for (let i = 0; i < field.length; i++) field[i] = 0;
  field[FieldIndex.gravityY] = -world.gravity * (s.tick < s.gravityUntil ? s.gravityBy : 1);
}

/** Resets all that acts on the runner to what acts outside every region. */
export function resetField(world: World, s: RunState): void {
  const { field } = s;
  beginForces(world, s, field);
  field[FieldIndex.pace] = s.tick < s.speedUntil ? s.speedBy : 1;
  if (s.tick < s.slowUntil) field[FieldIndex.pace] *= SLOWED;
  field[FieldIndex.grip] = 1;
}

/** Does what a field does, as its piece stands now. Returns what else becomes of the runner. */
type Effect<K extends FieldKind> = (
  world: World,
  s: RunState,
  c: Collider,
  told: FieldOf<K>,
  on: Acted,
) => 'hurt' | 'fall' | null;

/**
 * The effect of each kind of field. Winds, pulls and swirls add up; of boosts the one that leads to the highest speed
 * counts; of weights the smallest region, which lies innermost.
 */
export const FIELD_EFFECTS: { readonly [K in FieldKind]: Effect<K> } = {
  touch: () => null,
  hurt: () => 'hurt',
  fall: () => 'fall',
  push: (world, s, c, told, { field }) => {
    const [x, y, z] = rotate(poseOf(world, s, c).pose.turn, told.along);
    if (told.top === undefined) addPush(field, told.force, x, y, z);
    else if (told.top >= field[FieldIndex.boostTop]) {
      field[FieldIndex.boost] = told.force;
      field[FieldIndex.boostX] = x;
      field[FieldIndex.boostY] = y;
      field[FieldIndex.boostZ] = z;
      field[FieldIndex.boostTop] = told.top;
    }
    return null;
  },
  gravity: (world, s, c, told, { field }) => {
    const within = field[FieldIndex.weighs];
    if (within > 0 && c.room >= within) return null;
    const [x, y, z] = rotate(poseOf(world, s, c).pose.turn, told.along);
    const g = world.gravity * told.part * (s.tick < s.gravityUntil ? s.gravityBy : 1);
    field[FieldIndex.weighs] = c.room;
    field[FieldIndex.gravityX] = x * g;
    field[FieldIndex.gravityY] = y * g;
    field[FieldIndex.gravityZ] = world.lane === null ? z * g : 0;
    return null;
  },
  pull: (world, s, c, told, { field, x, y, z }) => {
    const to = applyPose(poseOf(world, s, c).pose, told.towards);
    const [dx, dy, dz] = [to[0] - x, to[1] - y, to[2] - z];
    addPush(field, told.force / outOfCore(dx, dy, dz), dx, dy, dz);
    return null;
  },
  swirl: (world, s, c, told, { field, x, y, z }) => {
    const { pose } = poseOf(world, s, c);
    const [ax, ay, az] = rotate(pose.turn, told.axis);
    const middle = applyPose(pose, told.about);
    const [rx, ry, rz] = [x - middle[0], y - middle[1], z - middle[2]];
    // Square to the axis and to the way from it, and as long as that is.
    const [tx, ty, tz] = [ay * rz - az * ry, az * rx - ax * rz, ax * ry - ay * rx];
    addPush(field, told.force / outOfCore(tx, ty, tz), tx, ty, tz);
    return null;
  },
  slow: (_world, _s, _c, told, { field }) => {
    field[FieldIndex.pace] *= told.part;
    return null;
  },
  slip: (_world, _s, _c, told, { field }) => {
    field[FieldIndex.grip] *= told.part;
    return null;
  },
  bounce: (_world, _s, _c, told, { field }) => {
    field[FieldIndex.bounce] = Math.max(field[FieldIndex.bounce], told.speed);
    return null;
  },
  size: (world, s, _c, told) => {
    s.size = world.sizeIndex(told.part);
    s.sizeUntil = Math.max(s.sizeUntil, s.tick + 1);
    return null;
  },
  points: (_world, s, _c, told) => {
    s.worth += told.rate / TICKS_PER_SECOND;
    return null;
  },
  camera: (_world, _s, c, _told, { field }) => {
    field[FieldIndex.camera] = c.index + 1;
    return null;
  },
  quiet: (_world, _s, c, _told, { field }) => {
    field[FieldIndex.quiet] = c.index + 1;
    return null;
  },
};

const outOfCore = (x: number, y: number, z: number): number =>
  Math.max(CORE, Math.sqrt(x * x + y * y + z * z));

function addPush(field: Float64Array, force: number, x: number, y: number, z: number): void {
  field[FieldIndex.pushX] += x * force;
  field[FieldIndex.pushY] += y * force;
  field[FieldIndex.pushZ] += z * force;
}

/**
 * Does what a region does to what is within it: the runner, or a loose piece, on which forces alone act.
 * @param world the course made ready
 * @param s the run's state; of a region that acts on the runner alone it is changed
 * @param c the region
 * @param on what it acts on; changed
 * @returns what else becomes of the runner
 */
export function applyField(
  world: World,
  s: RunState,
  c: Collider,
  on: Acted,
): 'hurt' | 'fall' | null {
  const told = c.field!;
  return (FIELD_EFFECTS[told.kind] as Effect<FieldKind>)(world, s, c, told, on);
}
