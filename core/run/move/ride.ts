import { newTouch } from '../../collision';
import { multiply, rotate, transpose, turnedHeading } from '../../geometry';
import type { Pose } from '../../motion';
import {
  type Boxed,
  carriedAlong,
  type Collider,
  type Mover,
  newContact,
  poseMover,
  type QueryBox,
  type World,
} from '../world';
import { type Trajectory, type RunState, SKIN } from '../state';
import {
  boxAround,
  castAgainst,
  isBefore,
  isDisabled,
  isFreeOfLoose,
  newCapsulePath,
  outsideBox,
  outsideCurrentBounds,
  reachOfNormal,
  runnerPath,
  signedDistance,
} from '../contact';
import { carries, meetSurface, pairOf } from './impact';
import { upOf } from './up';
import { push } from './move';

/** Overlap left after being pushed that counts as crushed, m. */
const CRUSH = 0.03;
/** Gaps wider than this need no push; the skin minus what rounding may take from it, m. */
const TOUCHING = SKIN - 1e-6;

/** Carries the runner along with the mover it stands on, without slip. */
export function moveWithPlatform(world: World, s: RunState, path: Trajectory): void {
  const c = world.colliders[s.ground];
  if (!c || c.mover < 0) return;
  const m = poseMover(world.movers, s, c.mover);
  if (m.pose === m.before) return;
  const moved = carriedAlong(m, s.x, s.y, s.z);
  const dz = (world.lane ?? moved[2]) - s.z;
  push(world, s, runnerPath(world, s, moved[0] - s.x, moved[1] - s.y, dz, c.index), path);
  if (m.pose.turn !== m.before.turn && world.lane === null) turnWith(s, m);
}

/** Turns where the runner looks, and its speed, along with the mover it stands on. */
function turnWith(s: RunState, { pose, before }: Mover): void {
  const m = multiply(pose.turn, transpose(before.turn));
  [s.vx, s.vy, s.vz] = rotate(m, [s.vx, s.vy, s.vz]);
  [s.fx, s.fy, s.fz] = rotate(m, [s.fx, s.fy, s.fz]);
  [s.gx, s.gy, s.gz] = rotate(m, [s.gx, s.gy, s.gz]);
  s.heading = turnedHeading(s.heading, m);
}

/** Part of its radius by which a mover may go past a body within a tick and still be met where it stands. */
const SLOW = 0.5;
const met = newTouch();
/** The way the runner makes as seen from a mover. */
const seen = newCapsulePath();
const carried = { x: 0, y: 0, z: 0 };

/** Has `carried` be where the runner would be had it gone along with something; made without garbage. */
function carriedTo(before: Pose, pose: Pose, { x, y, z }: RunState): void {
  const [b, p] = [before.turn, pose.turn];
  const u = x - before.shift[0];
  const v = y - before.shift[1];
  const w = z - before.shift[2];
  const k = pose.size / before.size;
  const i = (b[0] * u + b[3] * v + b[6] * w) * k;
  const j = (b[1] * u + b[4] * v + b[7] * w) * k;
  const l = (b[2] * u + b[5] * v + b[8] * w) * k;
  carried.x = p[0] * i + p[1] * j + p[2] * l + pose.shift[0];
  carried.y = p[3] * i + p[4] * j + p[5] * l + pose.shift[1];
  carried.z = p[6] * i + p[7] * j + p[8] * l + pose.shift[2];
}

/**
 * Takes the runner along with a mover that went through the place where it stands within the tick: one that
 * is thin and quick would else be found on its other side. Seen from the mover, the runner comes from where
 * it would be had it been carried.
 */
function sweptOver(world: World, s: RunState, c: Collider, m: Mover, path: Trajectory): boolean {
  if (m.pose === m.before || m.loose || s.ground === c.index) return false;
  const body = world.bodies[s.size];
  const { before, pose } = m;
  if (before.turn === pose.turn && before.size === pose.size) {
    // What only shifts is seen at once to be slow, as most is.
    const u = pose.shift[0] - before.shift[0];
    const v = pose.shift[1] - before.shift[1];
    const w = pose.shift[2] - before.shift[2];
    if (u * u + v * v + w * w < SLOW * SLOW * body.radius * body.radius) return false;
  }
  carriedTo(before, pose, s);
  const dx = s.x - carried.x;
  const dy = s.y - carried.y;
  const dz = s.z - carried.z;
  const least = SLOW * body.radius;
  if (dx * dx + dy * dy + dz * dz < least * least) return false;
  met.t = 1;
  seen.body = body;
  seen.x = carried.x;
  seen.y = carried.y;
  seen.z = carried.z;
  seen.dx = dx;
  seen.dy = dy;
  seen.dz = dz;
  if (!castAgainst(world, s, seen, c, met)) return false;
  const back = 1 - met.t;
  const z = world.lane === null ? -dz * back : 0;
  const [x, y] = [-dx * back + SKIN * met.nx, -dy * back + SKIN * met.ny];
  push(world, s, runnerPath(world, s, x, y, z, c.index), path);
  return true;
}

/** Has the runner meet a mover that came to it, by the law that holds where it came to the mover. */
function meetPusher(
  world: World,
  s: RunState,
  c: Collider,
  nx: number,
  ny: number,
  nz: number,
): void {
  hit.nx = nx;
  hit.ny = ny;
  hit.nz = nz;
  hit.collider = c.index;
  const { runner } = world;
  if (runner.walks) {
    const up = upOf(s);
    const lean = nx * up.x + ny * up.y + nz * up.z;
    // What comes from below is landed on, by its own tick.
    if (lean >= runner.walkable) return;
    if (s.ground >= 0) {
      // On its feet it is only pushed along what it stands on.
      const [x, y, z] = [nx - lean * up.x, ny - lean * up.y, nz - lean * up.z];
      const level = Math.sqrt(x * x + y * y + z * z);
      if (level < LEVEL) return;
      hit.nx = x / level;
      hit.ny = y / level;
      hit.nz = z / level;
    }
  } else if (s.ground < 0 && carries(world, s, hit)) {
    s.gx = nx;
    s.gy = ny;
    s.gz = nz;
    s.air = 0;
  }
  meetSurface(world, s, hit, pairOf(world, hit, runner.bounce, 0), s.ground);
}

const hit = newContact();
/** Level part of a normal under which it pushes nobody over the map. */
const LEVEL = 0.1;

/**
 * Lets movers push the runner out of their way.
 * @returns the index of the mover that crushed it against something, or -1
 */
export function resolvePushers(world: World, s: RunState, path: Trajectory): number {
  const body = world.bodies[s.size];
  let about = boxAround(body, s);
  let isFree = isFreeOfLoose(world, s, about);
  const { movers, solids } = world.broadPhase.query(about);
  let pusher = -1;
  for (let i = 0; i < movers.list.length; i++) {
    const c = movers.list[i];
    if (outsideBox(about, movers.boxes, 6 * i)) continue;
    if (c.isDynamic && (isFree || outsideCurrentBounds(world, s, c, about))) continue;
    if (isDisabled(world, s, c)) continue;
    const m = poseMover(world.movers, s, c.mover);
    // One-way faces push only who was before them.
    if (c.oneWay && !isBefore(c, body, m.before, s.x, s.y, s.z)) continue;
    if (sweptOver(world, s, c, m, path)) {
      meetPusher(world, s, c, met.nx, met.ny, world.lane === null ? met.nz : 0);
    } else if (!pushedOut(world, s, c, path)) {
      continue;
    }
    pusher = c.index;
    about = boxAround(body, s);
    isFree = isFreeOfLoose(world, s, about);
  }
  return pusher >= 0 && isCrushed(world, s, solids, about, isFree) ? pusher : -1;
}

/** True where the runner is left deeper within a solid than it can stand. */
function isCrushed(
  world: World,
  s: RunState,
  solids: Boxed,
  about: QueryBox,
  isFree: boolean,
): boolean {
  const body = world.bodies[s.size];
  for (let i = 0; i < solids.list.length; i++) {
    const c = solids.list[i];
    if (outsideBox(about, solids.boxes, 6 * i)) continue;
    if (c.isDynamic && (isFree || outsideCurrentBounds(world, s, c, about))) continue;
    if (isDisabled(world, s, c) || c.oneWay) continue;
    if (signedDistance(world, s, body, c, s).distance < -CRUSH) return true;
  }
  return false;
}

/** Moves the runner out of a mover it overlaps, a skin away. Returns whether it had to be. */
function pushedOut(world: World, s: RunState, c: Collider, path: Trajectory): boolean {
  const gap = signedDistance(world, s, world.bodies[s.size], c, s);
  if (gap.distance >= TOUCHING) return false;
  let { nx, ny, nz } = gap;
  const out = SKIN - gap.distance;
  const reach = reachOfNormal(world, nx, ny);
  if (reach === 0) return false;
  if (world.lane !== null) nz = 0;
  nx /= reach;
  ny /= reach;
  nz /= reach;
  push(world, s, runnerPath(world, s, nx * out, ny * out, nz * out, c.index), path);
  meetPusher(world, s, c, nx, ny, nz);
  return true;
}
