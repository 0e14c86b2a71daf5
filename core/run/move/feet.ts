import { centreHeight, DT, type Hopper, newContact, type World } from '../world';
import { addSegment, FieldIndex, type Trajectory, type RunState, SKIN } from '../state';
import { runnerPath } from '../contact';
import { impulseOfLoose, LEAST_BOUNCE, meetSurface, type Pair, pairOf, speedOf } from './impact';
import { leaveGround, moveUntilHit } from './move';
import { paceAlong, setAlong, upOf } from './up';

// How a runner on two legs moves: along the ground, up steps and through the air, with up against the gravity it feels.

/** Most surfaces a tick may slide along. */
const MOST_SLIDES = 5;
/** Least lean of what is no wall: the upward part of its normal. */
const WALL = 0.3;
/** Lengths under this are no way at all, m. */
const NOTHING = 1e-9;

const contact = newContact();
const probe = newContact();
/** The way up in the tick at hand. */
const up = { x: 0, y: 1, z: 0 };

function noteUp(s: RunState): void {
  const { x, y, z } = upOf(s);
  up.x = x;
  up.y = y;
  up.z = z;
}

/** Feet give nothing back by themselves, and slide along walls. */
const feetOn = (world: World): Readonly<Pair> => pairOf(world, contact, 0, 0);

/** The upward part of what was touched. */
const lean = ({ nx, ny, nz }: typeof contact): number => nx * up.x + ny * up.y + nz * up.z;

/**
 * Height, along the way up, of what the runner touches, m.
 * @param steep the upward part of what it touches
 */
function contactHeight(world: World, s: RunState, steep: number): number {
  const body = world.bodies[s.size];
  const middle = s.x * up.x + (s.y + centreHeight(body)) * up.y + s.z * up.z;
  return middle - body.half * Math.abs(up.y) - body.radius * steep;
}

/**
 * A tick on the ground: along it, up steps, against walls, and held to it downhill.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param hopper the runner’s figures
 * @param path is given each leg of the way made
 */
export function walk(world: World, s: RunState, hopper: Hopper, path: Trajectory): void {
  noteUp(s);
  let dx = s.vx * DT;
  let dy = s.vy * DT;
  let dz = s.vz * DT;
  let gx = s.gx;
  let gy = s.gy;
  let gz = s.gz;
  let stepped = false;
  for (let i = 0; i < MOST_SLIDES && dx * dx + dy * dy + dz * dz > NOTHING * NOTHING; i++) {
    const rise = -(gx * dx + gy * dy + gz * dz) / (gx * up.x + gy * up.y + gz * up.z);
    const made = moveUntilHit(
      world,
      s,
      runnerPath(world, s, dx + rise * up.x, dy + rise * up.y, dz + rise * up.z),
      contact,
    );
    addSegment(path, s.x, s.y, s.z);
    if (made === 1) break;
    dx *= 1 - made;
    dy *= 1 - made;
    dz *= 1 - made;
    const steep = lean(contact);
    if (steep >= hopper.walkable) {
      // Ground that rises or falls otherwise: go on along it at the same pace over the map.
      gx = contact.nx;
      gy = contact.ny;
      gz = contact.nz;
      continue;
    }
    const touched = contact.collider;
    const { nx, ny, nz } = contact;
    if (stepUp(world, s, hopper, dx, dy, dz)) {
      addSegment(path, s.x, s.y, s.z);
      stepped = true;
      break;
    }
    // A wall, whatever its lean: keep what goes along it.
    const [ux, uy, uz] = [nx - steep * up.x, ny - steep * up.y, nz - steep * up.z];
    const l = Math.sqrt(ux * ux + uy * uy + uz * uz);
    if (l < NOTHING) break;
    contact.collider = touched;
    contact.nx = ux / l;
    contact.ny = uy / l;
    contact.nz = uz / l;
    const into = Math.min(0, contact.nx * dx + contact.ny * dy + contact.nz * dz);
    dx -= contact.nx * into;
    dy -= contact.ny * into;
    dz -= contact.nz * into;
    meetSurface(world, s, contact, feetOn(world), s.ground);
  }
  holdToGround(world, s, hopper, stepped, path);
}

/**
 * Tries to get over what is in the way as a step: up, on, and down again onto something that can be
 * stood on no higher than a step above the last ground. Leaves the state alone when it cannot.
 */
function stepUp(
  world: World,
  s: RunState,
  hopper: Hopper,
  dx: number,
  dy: number,
  dz: number,
): boolean {
  const { x, y, z } = s;
  const restore = () => {
    s.x = x;
    s.y = y;
    s.z = z;
    return false;
  };
  const along = (far: number) => runnerPath(world, s, far * up.x, far * up.y, far * up.z);
  const lifted = moveUntilHit(world, s, along(hopper.stepHeight), probe) * hopper.stepHeight;
  const made = moveUntilHit(world, s, runnerPath(world, s, dx, dy, dz), probe);
  if (lifted < NOTHING || made * made * (dx * dx + dy * dy + dz * dz) < 1e-10) return restore();
  const back = moveUntilHit(world, s, along(-lifted - SKIN), probe);
  // What an edge is the rim of is only known of the upright.
  const top = up.y === 1 ? probe.top : -1;
  if (back === 1 || Math.max(top, lean(probe)) < hopper.walkable) return restore();
  // The skin lifts the body by up to its own thickness over the edge.
  const height = contactHeight(world, s, lean(probe));
  if (height - s.baseY > hopper.stepHeight + 2 * SKIN) return restore();
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
  const { x, y, z } = s;
  const down = runnerPath(world, s, -reach * up.x, -reach * up.y, -reach * up.z);
  const hit = moveUntilHit(world, s, down, contact) < 1;
  const steep = lean(contact);
  const firm = steep >= hopper.walkable;
  if (hit && (firm || (stepped && up.y === 1 && contact.top >= hopper.walkable))) {
    s.ground = contact.collider;
    s.gx = firm ? contact.nx : up.x;
    s.gy = firm ? contact.ny : up.y;
    s.gz = firm ? contact.nz : up.z;
    if (firm) s.baseY = contactHeight(world, s, steep);
    addSegment(path, s.x, s.y, s.z);
    return;
  }
  s.x = x;
  s.y = y;
  s.z = z;
  leaveGround(world, s);
  s.coyote = hopper.coyoteTicks;
}

/**
 * A tick in the air. Returns the downward speed of a landing in m/s, or -1 when still in the air.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param hopper the runner’s figures
 * @param path is given each leg of the way made
 * @param slide speed down a wall that is held on to, m/s, or 0 where none is
 */
export function fly(
  world: World,
  s: RunState,
  hopper: Hopper,
  path: Trajectory,
  slide: number,
): number {
  noteUp(s);
  const { field } = s;
  // Who slides down a wall at its pace is borne by it.
  const falls = slide > 0 && paceAlong(s, up) <= -slide ? 0 : DT;
  const [gx, gy, gz] = [
    field[FieldIndex.gravityX] * falls,
    field[FieldIndex.gravityY] * falls,
    field[FieldIndex.gravityZ] * falls,
  ];
  if (slide > 0 && paceAlong(s, up) < -slide) setAlong(s, up, -slide);
  let dx = (s.vx + 0.5 * gx) * DT;
  let dy = (s.vy + 0.5 * gy) * DT;
  let dz = (s.vz + 0.5 * gz) * DT;
  s.vx += gx;
  s.vy += gy;
  s.vz += gz;
  const most = slide > 0 ? slide : hopper.fallSpeed;
  if (paceAlong(s, up) < -most) setAlong(s, up, -most);
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
    const steep = lean(contact);
    const rising = paceAlong(s, up);
    if (steep >= hopper.walkable && isLanding(world, s, rising) && !isThrownBack(world, rising)) {
      landed = Math.max(landed, -rising);
      land(world, s, steep);
      const back = (nx * dx + ny * dy + nz * dz) / steep;
      dx -= back * up.x;
      dy -= back * up.y;
      dz -= back * up.z;
      continue;
    }
    if (steep < WALL && steep > -WALL) {
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
    meetSurface(world, s, contact, feetOn(world), s.ground);
  }
  return landed;
}

/** Whether what was touched from above is landed on: not what the runner rises faster than. */
function isLanding(world: World, s: RunState, rising: number): boolean {
  if (rising <= 0) return true;
  const [x, y, z] = speedOf(world, s, contact.collider);
  return rising <= x * up.x + y * up.y + z * up.z;
}

/** True where the runner comes down on ground that bounces, and too fast to stand on it. */
const isThrownBack = (world: World, rising: number): boolean =>
  -rising > LEAST_BOUNCE && feetOn(world).bounce > 0;

/** Stands on what the last touch found; from here on speed is relative to it. */
function land(world: World, s: RunState, steep: number): void {
  // What is loose feels the blow.
  impulseOfLoose(world, s, contact, 0, s.ground);
  if (s.ground < 0) {
    const v = speedOf(world, s, contact.collider);
    s.vx -= v[0];
    s.vy -= v[1];
    s.vz -= v[2];
  }
  setAlong(s, up, 0);
  s.ground = contact.collider;
  s.gx = contact.nx;
  s.gy = contact.ny;
  s.gz = contact.nz;
  s.baseY = contactHeight(world, s, steep);
  s.rising = false;
  s.coyote = 0;
  s.airJumps = 0;
}
