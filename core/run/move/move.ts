import { type Contact, newContact, type World } from '../world';
import { addSegment, type RunState, SKIN, type Trajectory } from '../state';
import { castCapsule, type CapsulePath } from '../contact';
import { speedOf } from './impact';
import { upOf } from './up';

/** Lengths under this are no way at all, m. */
const NOTHING = 1e-9;

const contact = newContact();

/**
 * Moves the runner along a way as far as it goes, keeping the skin's clearance.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param path the way, in the world
 * @param out holds what was touched
 * @returns the part of the way that was made; 1 when nothing was touched
 */
export function moveUntilHit(world: World, s: RunState, path: CapsulePath, out: Contact): number {
  const { dx, dy, dz } = path;
  if (!castCapsule(world, s, path, out)) {
    s.x += dx;
    s.y += dy;
    s.z += dz;
    return 1;
  }
  // A sweep tells only of what is closed on, so that this is above 0 however slight it is.
  const closing = -(out.nx * dx + out.ny * dy + out.nz * dz);
  touch(world, s, out);
  const t = closing > 0 ? Math.max(0, out.t - SKIN / closing) : 0;
  s.x += dx * t;
  s.y += dy * t;
  s.z += dz * t;
  projectToLane(world, out);
  return t;
}

/** Notes what was touched, and at what speed, for all that follows from being touched. */
function touch(world: World, s: RunState, { collider, nx, ny, nz }: Contact): void {
  const { touching } = s;
  const { pieces, speeds } = touching;
  const { piece } = world.colliders[collider];
  const speed = -(nx * s.vx + ny * s.vy + nz * s.vz);
  for (let i = 0; i < touching.count; i++) {
    if (pieces[i] !== piece) continue;
    if (speeds[i] < speed) speeds[i] = speed;
    return;
  }
  pieces[touching.count] = piece;
  speeds[touching.count++] = speed;
}

/** On a side-on stage only what a normal says within the lane's plane counts. */
function projectToLane(world: World, out: Contact): void {
  if (world.lane === null || out.nz === 0) return;
  const l = Math.sqrt(out.nx * out.nx + out.ny * out.ny);
  if (l < NOTHING) return;
  out.nx /= l;
  out.ny /= l;
  out.nz = 0;
}

/**
 * Moves the runner along a way until something stops it; what is left of the way is dropped.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param path the way, in the world
 * @param trajectory is given each leg of the way made
 */
export function push(world: World, s: RunState, path: CapsulePath, trajectory: Trajectory): void {
  moveUntilHit(world, s, path, contact);
  addSegment(trajectory, s.x, s.y, s.z);
}

/** Takes the speed of the mover stood on along into the air, but for what of it leads down. */
export function leaveGround(world: World, s: RunState): void {
  const v = speedOf(world, s, s.ground);
  const up = upOf(s);
  const down = Math.min(0, v[0] * up.x + v[1] * up.y + v[2] * up.z);
  s.vx += v[0] - down * up.x;
  s.vy += v[1] - down * up.y;
  s.vz += v[2] - down * up.z;
  s.ground = -1;
}
