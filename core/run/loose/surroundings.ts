import { isForce } from '../../pieces';
import { centreHeight, type Collider, DRIVE_SIZE, DT, type Mover, type World } from '../world';
import type { RunState } from '../state';
import { isDisabled } from '../contact';

// What loose pieces go by besides themselves. While none of it changes they do the same whatever else the run does.

/** How far a runner stays off what is loose, besides the way it comes in two ticks, m. */
const CLEAR = 0.25;

/** Whether the runner is near nothing loose, m. */
export function isClear(world: World, s: RunState): boolean {
  const body = world.bodies[s.size];
  const y = s.y + centreHeight(body);
  const way = 2 * DT * Math.sqrt(s.vx * s.vx + s.vy * s.vy + s.vz * s.vz);
  const own = body.radius + body.half + way + CLEAR;
  for (const { at, drive, reach, piece } of world.loose) {
    if (s.away[piece]) continue;
    const dx = at[0] + s.dynamicPoses[drive] - s.x;
    const dy = at[1] + s.dynamicPoses[drive + 1] - y;
    const dz = at[2] + s.dynamicPoses[drive + 2] - s.z;
    if (!(dx * dx + dy * dy + dz * dz > (own + reach) * (own + reach))) return false;
  }
  return true;
}

/** All that what is loose goes by besides the runner and the tick: gravity, what is away, and how movers go. */
export function surroundingsOf(world: World, s: RunState): Float64Array {
  const { movers, pieces, gated, numbers } = partsOf(world);
  numbers[0] = s.tick < s.gravityUntil ? s.gravityBy : 1;
  let at = 1;
  for (const piece of pieces) numbers[at++] = s.away[piece];
  for (const collider of gated) numbers[at++] = isDisabled(world, s, collider) ? 1 : 0;
  // At one tick a mover's pose follows from these.
  for (const { index, drive } of movers) {
    numbers[at++] = s.moverFrom[index];
    numbers[at++] = s.moverAt[index];
    for (let i = 0; drive >= 0 && i < DRIVE_SIZE; i++) numbers[at++] = s.dynamicPoses[drive + i];
  }
  return numbers;
}

/**
 * Whether something that moves may come to where a loose piece lies now, whatever its clock says: solids and
 * regions that push.
 */
export function isExposed(world: World, s: RunState): boolean {
  return partsOf(world).moving.some(({ low, high }) =>
    world.loose.some(({ at, drive, reach, piece }) => {
      if (s.away[piece]) return false;
      for (let axis = 0; axis < 3; axis++) {
        const middle = at[axis] + s.dynamicPoses[drive + axis];
        if (middle + reach < low[axis] || middle - reach > high[axis]) return false;
      }
      return true;
    }),
  );
}

/** Whether nothing of what is loose goes by differs. */
export function areAlike(a: ArrayLike<number>, b: ArrayLike<number>): boolean {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false;
  return true;
}

/** What of a course acts on loose pieces. */
interface Parts {
  readonly movers: readonly Mover[];
  readonly pieces: readonly number[];
  /** One collider of each that a gate may take away. */
  readonly gated: readonly Collider[];
  /** Those that move by themselves. */
  readonly moving: readonly Collider[];
  /** Room for the surroundings of a tick, written anew at each. */
  readonly numbers: Float64Array;
}

const partsByWorld = new WeakMap<World, Parts>();
function partsOf(world: World): Parts {
  let parts = partsByWorld.get(world);
  if (!parts) {
    const acting = world.colliders.filter(({ role, field }) => role === 'solid' || isForce(field));
    const movers = new Set<Mover>();
    for (const { mover } of acting) {
      for (let at = mover; at >= 0 && !world.movers[at].loose; at = world.movers[at].parent) {
        movers.add(world.movers[at]);
      }
    }
    const moving = acting.filter(({ mover }) => mover >= 0 && !world.movers[mover].loose);
    const pieces = [...new Set(acting.map(({ piece }) => piece))];
    const gated = acting.filter(({ gate }) => gate >= 0);
    const driven = [...movers].filter(({ drive }) => drive >= 0).length;
    const count = 1 + pieces.length + gated.length + 2 * movers.size + DRIVE_SIZE * driven;
    const numbers = new Float64Array(count);
    parts = { movers: [...movers], pieces, gated, moving, numbers };
    partsByWorld.set(world, parts);
  }
  return parts;
}
