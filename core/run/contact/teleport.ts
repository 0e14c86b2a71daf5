import { NO_TURN, rotate, turnedHeading } from '../../geometry';
import { applyPose, STILL } from '../../motion';
import { DT, poseMover, type SpawnPoint, type World } from '../world';
import { restoreCheckpoint, type RunState, type EmitEvent, SKIN } from '../state';
import { isDisabled } from './presence';
import { boxAround } from './near';
import { outsideCurrentBounds } from './currentBounds';
import { signedDistance, isBefore } from './cast';

/** Puts the runner back to its last checkpoint, standing still. */
export function respawn(world: World, s: RunState, say: EmitEvent): void {
  const checkpoint = world.checkpoints[s.checkpoint];
  if (checkpoint?.restores) restoreCheckpoint(s);
  teleport(world, s, checkpoint ?? beginningOf(world, s));
  say('respawn');
}

/** Where the leg being run begins. */
export function beginningOf({ starts, legs }: World, { leg, start }: RunState): SpawnPoint {
  const of = starts[legs > 0 ? leg : 0];
  return of[start % of.length];
}

/**
 * Puts the runner at a place, standing still there, clear of what it would stand in. A place that goes along with
 * something is where that is now, turned as that is, and the runner goes as fast.
 */
export function teleport(world: World, s: RunState, spot: SpawnPoint): void {
  const mover = spot.carrier < 0 ? -1 : world.pieceMovers[spot.carrier];
  const { pose, before } =
    mover < 0 ? { pose: STILL, before: STILL } : poseMover(world.movers, s, mover);
  const at = applyPose(pose, spot.at);
  const was = applyPose(before, spot.at);
  const ahead = rotate(pose.turn, spot.ahead);
  s.x = at[0];
  s.y = at[1] + SKIN;
  s.z = world.lane ?? at[2];
  s.baseY = at[1];
  s.vx = (at[0] - was[0]) / DT;
  s.vy = (at[1] - was[1]) / DT;
  s.vz = world.lane === null ? (at[2] - was[2]) / DT : 0;
  s.heading = pose.turn === NO_TURN ? spot.heading : turnedHeading(spot.heading, pose.turn);
  s.fx = ahead[0];
  s.fy = ahead[1];
  s.fz = ahead[2];
  s.gx = 0;
  s.gy = 1;
  s.gz = 0;
  s.ground = -1;
  s.air = 0;
  s.coyote = 0;
  s.buffer = 0;
  s.rising = false;
  s.airJumps = 0;
  s.rest = world.runner.restTicks;
  standClear(world, s);
}

/** Most surfaces a runner that is put somewhere is moved out of, one after the other. */
const MOST_PUSHES = 8;
/** Farthest it is moved in all, m: what lies deeper than this was laid over the place on purpose. */
const FARTHEST = 1;
/** Least square of the part of a way out that lies in a side-on stage's plane. */
const LEAST_REACH = 0.04;

/**
 * The square of the part of a way out of a solid, told by its normal, that a runner can go: all of it where it
 * is free, on a side-on stage what lies in its plane; 0 where that is too little to get out by.
 */
export function reachOfNormal({ lane }: World, nx: number, ny: number): number {
  if (lane === null) return 1;
  const reach = nx * nx + ny * ny;
  return reach < LEAST_REACH ? 0 : reach;
}

/** Least upward part of the normal of what the runner then stands on. */
const FIRM = 0.3;

/**
 * Moves a runner that was put somewhere out of the solids it overlaps, each along its normal: the foot of
 * what is round stands on a slope only when its middle is lifted off it. Where there is no way out nearby
 * it stays as it was put.
 */
export function standClear(world: World, s: RunState): void {
  const { x, y, z } = s;
  for (let push = 0; push < MOST_PUSHES; push++) {
    if (pushOut(world, s) === 0) return;
    const [dx, dy, dz] = [s.x - x, s.y - y, s.z - z];
    if (dx * dx + dy * dy + dz * dz > FARTHEST * FARTHEST) break;
  }
  s.x = x;
  s.y = y;
  s.z = z;
  s.gx = 0;
  s.gy = 1;
  s.gz = 0;
}

/** How deep the runner is in the solid it overlaps most, m; 0 where it stands clear. */
export function overlapOf(world: World, s: RunState): number {
  const { x, y, z, gx, gy, gz } = s;
  const depth = pushOut(world, s);
  Object.assign(s, { x, y, z, gx, gy, gz });
  return depth;
}

/** Moves the runner out of the solid it overlaps most. Returns how deep it was in it, m; 0 for none. */
function pushOut(world: World, s: RunState): number {
  const body = world.bodies[s.size];
  const box = boxAround(body, s);
  let deepest = 0;
  let [ox, oy, oz] = [0, 0, 0];
  for (const c of world.broadPhase.query(box).solids.list) {
    if (isDisabled(world, s, c)) continue;
    if (c.isDynamic && outsideCurrentBounds(world, s, c, box)) continue;
    const pose = c.mover < 0 ? null : poseMover(world.movers, s, c.mover).pose;
    if (c.oneWay && !isBefore(c, body, pose ?? STILL, s.x, s.y, s.z)) continue;
    const gap = signedDistance(world, s, body, c, s);
    const depth = -gap.distance;
    if (depth <= deepest) continue;
    const reach = reachOfNormal(world, gap.nx, gap.ny);
    if (reach === 0) continue;
    deepest = depth;
    const out = (depth + SKIN) / reach;
    ox = gap.nx * out;
    oy = gap.ny * out;
    oz = world.lane === null ? gap.nz * out : 0;
    if (gap.ny >= FIRM) {
      s.gx = gap.nx;
      s.gy = gap.ny;
      s.gz = gap.nz;
    }
  }
  s.x += ox;
  s.y += oy;
  s.z += oz;
  return deepest;
}
