import { type Contact, DT, type Hopper, newContact, type World } from '../world';
import { addSegment, FieldIndex, type Trajectory, type RunState, SKIN } from '../state';
import { castCapsule, runnerPath, type CapsulePath } from '../contact';
import { impulseOfLoose, speedOf } from './impact';

/** Most surfaces a tick may slide along. */
const MOST_SLIDES = 5;
/** Least lean of what is no wall: the upward part of its normal. */
const WALL = 0.3;
/** Lengths under this are no way at all, m. */
const NOTHING = 1e-9;

const contact = newContact();
const probe = newContact();

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

/**
 * A tick on the ground: along it, up steps, against walls, and held to it downhill.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param hopper the runner’s figures
 * @param path is given each leg of the way made
 */
export function walk(world: World, s: RunState, hopper: Hopper, path: Trajectory): void {
  let dx = s.vx * DT;
  let dz = s.vz * DT;
  let gx = s.gx;
  let gy = s.gy;
  let gz = s.gz;
  let stepped = false;
  for (let i = 0; i < MOST_SLIDES && dx * dx + dz * dz > NOTHING * NOTHING; i++) {
    const dy = -(gx * dx + gz * dz) / gy;
    const made = moveUntilHit(world, s, runnerPath(world, s, dx, dy, dz), contact);
    addSegment(path, s.x, s.y, s.z);
    if (made === 1) break;
    dx *= 1 - made;
    dz *= 1 - made;
    if (contact.ny >= hopper.walkable) {
      // Ground that rises or falls otherwise: go on along it at the same pace over the map.
      gx = contact.nx;
      gy = contact.ny;
      gz = contact.nz;
      continue;
    }
    const { nx, nz } = contact;
    if (stepUp(world, s, hopper, dx, dz)) {
      addSegment(path, s.x, s.y, s.z);
      stepped = true;
      break;
    }
    // A wall, whatever its lean: keep what goes along it.
    const l = Math.sqrt(nx * nx + nz * nz);
    if (l < NOTHING) break;
    const ux = nx / l;
    const uz = nz / l;
    const into = ux * dx + uz * dz;
    dx -= ux * Math.min(0, into);
    dz -= uz * Math.min(0, into);
    const speed = ux * s.vx + uz * s.vz;
    if (speed < 0) {
      const stopped = Math.min(-speed, impulseOfLoose(world, s, contact, 0, s.ground) ?? -speed);
      s.vx += ux * stopped;
      s.vz += uz * stopped;
    }
  }
  holdToGround(world, s, hopper, stepped, path);
}

/**
 * Tries to get over what is in the way as a step: up, on, and down again onto something that can be
 * stood on no higher than a step above the last ground. Leaves the state alone when it cannot.
 */
function stepUp(world: World, s: RunState, hopper: Hopper, dx: number, dz: number): boolean {
  const { x, y, z } = s;
  const restore = () => {
    s.x = x;
    s.y = y;
    s.z = z;
    return false;
  };
  moveUntilHit(world, s, runnerPath(world, s, 0, hopper.stepHeight, 0), probe);
  const up = s.y - y;
  const made = moveUntilHit(world, s, runnerPath(world, s, dx, 0, dz), probe);
  if (up < NOTHING || made * made * (dx * dx + dz * dz) < 1e-10) return restore();
  const made2 = moveUntilHit(world, s, runnerPath(world, s, 0, -up - SKIN, 0), probe);
  if (made2 === 1 || Math.max(probe.top, probe.ny) < hopper.walkable) return restore();
  const contactY = s.y + world.bodies[s.size].radius * (1 - probe.ny);
  // The skin lifts the body by up to its own thickness over the edge.
  if (contactY - s.baseY > hopper.stepHeight + 2 * SKIN) return restore();
  return true;
}

/** Finds the ground just below and stays on it, or leaves the ground. */
function holdToGround(
  world: World,
  s: RunState,
  hopper: Hopper,
  stepped: boolean,
  path: Trajectory,
): void {
  const reach = hopper.stepHeight + 2 * SKIN;
  const y = s.y;
  const hit = moveUntilHit(world, s, runnerPath(world, s, 0, -reach, 0), contact) < 1;
  const firm = contact.ny >= hopper.walkable;
  if (hit && (firm || (stepped && contact.top >= hopper.walkable))) {
    s.ground = contact.collider;
    s.gx = firm ? contact.nx : 0;
    s.gy = firm ? contact.ny : 1;
    s.gz = firm ? contact.nz : 0;
    if (firm) s.baseY = s.y + world.bodies[s.size].radius * (1 - contact.ny);
    addSegment(path, s.x, s.y, s.z);
    return;
  }
  s.y = y;
  leaveGround(world, s);
  s.coyote = hopper.coyoteTicks;
}

/** Takes the speed of the mover stood on along into the air. */
export function leaveGround(world: World, s: RunState): void {
  const v = speedOf(world, s, s.ground);
  s.vx += v[0];
  s.vy += Math.max(0, v[1]);
  s.vz += v[2];
  s.ground = -1;
}

/**
 * A tick in the air. Returns the downward speed of a landing in m/s, or -1 when still in the air.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param hopper the runner’s figures
 * @param path is given each leg of the way made
 */
export function fly(world: World, s: RunState, hopper: Hopper, path: Trajectory): number {
  const [gx, gy, gz] = [
    s.field[FieldIndex.gravityX],
    s.field[FieldIndex.gravityY],
    s.field[FieldIndex.gravityZ],
  ];
  let dx = (s.vx + 0.5 * gx * DT) * DT;
  let dy = (s.vy + 0.5 * gy * DT) * DT;
  let dz = (s.vz + 0.5 * gz * DT) * DT;
  s.vx += gx * DT;
  s.vy = Math.max(-hopper.fallSpeed, s.vy + gy * DT);
  s.vz += gz * DT;
  let landed = -1;
  for (let i = 0; i < MOST_SLIDES && dx * dx + dy * dy + dz * dz > NOTHING * NOTHING; i++) {
    const made = moveUntilHit(world, s, runnerPath(world, s, dx, dy, dz), contact);
    addSegment(path, s.x, s.y, s.z);
    if (made === 1) break;
    const rest = 1 - made;
    dx *= rest;
    dy *= rest;
    dz *= rest;
    const { nx, ny, nz } = contact;
    if (ny >= hopper.walkable && s.vy <= 0) {
      landed = Math.max(landed, -s.vy);
      impulseOfLoose(world, s, contact, 0, s.ground);
      touchDown(world, s);
      dy = -(nx * dx + nz * dz) / ny;
      continue;
    }
    if (ny < WALL && ny > -WALL) {
      s.wallTick = s.tick;
      s.wallX = nx;
      s.wallZ = nz;
    }
    const into = nx * dx + ny * dy + nz * dz;
    if (into < 0) {
      dx -= nx * into;
      dy -= ny * into;
      dz -= nz * into;
    }
    const closing = nx * s.vx + ny * s.vy + nz * s.vz;
    if (closing < 0) {
      const stopped = Math.min(
        -closing,
        impulseOfLoose(world, s, contact, 0, s.ground) ?? -closing,
      );
      s.vx += nx * stopped;
      s.vy += ny * stopped;
      s.vz += nz * stopped;
    }
  }
  return landed;
}

/** Stands on what the last touch found; from here on speed is relative to it. */
function touchDown(world: World, s: RunState): void {
  if (s.ground < 0) {
    s.ground = contact.collider;
    const v = speedOf(world, s, s.ground);
    s.vx -= v[0];
    s.vz -= v[2];
  }
  s.ground = contact.collider;
  s.gx = contact.nx;
  s.gy = contact.ny;
  s.gz = contact.nz;
  s.baseY = s.y + world.bodies[s.size].radius * (1 - contact.ny);
  s.vy = 0;
  s.rising = false;
  s.coyote = 0;
  s.airJumps = 0;
}
