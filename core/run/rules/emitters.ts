import { cosDeg, sinDeg, type Vec3 } from '../../geometry';
import { applyPose, TICKS_PER_SECOND } from '../../motion';
import {
  centreHeight,
  moverTick,
  newContact,
  poseMover,
  type ProjectileEmitter,
  type World,
} from '../world';
import { nextRandom, PROJECTILE_SIZE, type RunState, SKIN, tideOf } from '../state';
import {
  signedDistance,
  isDisabled,
  castCapsule,
  type CapsulePath,
  newCapsulePath,
} from '../contact';

/** What is left of a copy's speed when it bounces. */
const USUAL_BOUNCE = 0.35;
/** Part of a rolling copy's weight that holds it back. */
const ROLLING = 0.02;

// Places within a copy's numbers; the first is the tick it was thrown.
const [FROM, TO, SPEED, GROUND] = [1, 4, 7, 10];
const flight = newCapsulePath();

const contact = newContact();

/**
 * Throws what is due and moves every copy on by a tick. Returns where the numbers begin of the first one that met the
 * runner, or -1.
 */
export function stepProjectiles(world: World, s: RunState): number {
  const { projectiles, tick } = s;
  const { radius } = world.bodies[s.size];
  let met = -1;
  for (const throwing of world.emitters) {
    if (s.away[throwing.piece] === 0 && isDue(s, throwing)) launch(world, s, throwing);
    const { first, most, life, body } = throwing;
    const reach = body.radius + radius;
    const end = (first + most) * PROJECTILE_SIZE;
    for (let i = first * PROJECTILE_SIZE; i < end; i += PROJECTILE_SIZE) {
      if (projectiles[i] < 0) continue;
      const age = (tick - projectiles[i]) | 0;
      const moves = age % STEP_TICKS === 1;
      if (age >= life || (moves && !moveCopy(world, s, throwing, i))) {
        projectiles[i] = -1;
        continue;
      }
      // Most are nowhere near, at either end of their step.
      const from = projectiles[i + FROM] - s.x;
      const to = projectiles[i + TO] - s.x;
      if ((from > reach && to > reach) || (from < -reach && to < -reach)) continue;
      if (met < 0 && meetsRunner(world, s, throwing, i)) met = i;
    }
  }
  return met;
}

/** What threw a copy, by where its numbers begin. */
export const emitterOfCopy = ({ emitters }: World, copy: number): ProjectileEmitter =>
  emitters.find(({ first, most }) => copy < (first + most) * PROJECTILE_SIZE)!;

function isDue(s: RunState, { clock, interval, phase, late, index }: ProjectileEmitter): boolean {
  if (clock >= 0 && (s.moverFrom[clock] < 0 || s.moverAt[clock] >= 0)) return false;
  const own = clock >= 0 ? moverTick(s, clock, s.tick) : s.tick;
  const into = (own + phase) % interval;
  if (late === 0) return into === 0;
  // How late each comes is drawn when it might first come.
  if (into === 0) s.throws[index] = Math.floor(nextRandom(s) * (late + 1));
  return into === s.throws[index];
}

function launch(world: World, s: RunState, throwing: ProjectileEmitter): void {
  const { told, first, most } = throwing;
  let free = first * PROJECTILE_SIZE;
  while (s.projectiles[free] >= 0) free += PROJECTILE_SIZE;
  if (free >= (first + most) * PROJECTILE_SIZE) return;
  const spread = told.spread ?? 0;
  const off = (k: number) => (k === 0 ? 0 : k * (2 * nextRandom(s) - 1));
  const rise = (told.rise ?? 0) + off(spread) / 2;
  // On a side-on stage all stays in its plane.
  const yaw = world.lane === null ? throwing.heading + off(spread) : throwing.heading;
  const speed = told.speed * (1 + off(told.swerve ?? 0));
  const level = cosDeg(rise) * speed;
  const [ux, uz] = [cosDeg(yaw), -sinDeg(yaw)];
  const mover = world.pieceMovers[throwing.piece];
  const { at } = world.pieces[throwing.piece];
  const c = mover < 0 ? at : applyPose(poseMover(world.movers, s, mover).pose, at);
  const x = c[0] + throwing.ahead * cosDeg(throwing.heading);
  const y = c[1] + throwing.up - throwing.body.radius;
  const z =
    (world.lane ?? c[2]) - throwing.ahead * (world.lane === null ? sinDeg(throwing.heading) : 0);
  const v = [ux * level, sinDeg(rise) * speed, world.lane === null ? uz * level : 0];
  s.projectiles.set([s.tick, x, y, z, x, y, z, ...v, -1], free);
}

/** Ticks since a copy was thrown; told to be whole, as counting goes faster then. */
const ageOf = ({ projectiles, tick }: RunState, i: number): number => (tick - projectiles[i]) | 0;

/** Where a copy is at the state's tick: its lowest point, on the way of the step it is making. */
export function copyPlace(s: RunState, i: number): Vec3 {
  const { projectiles } = s;
  const age = ageOf(s, i);
  const part = age === 0 ? 1 : (((age - 1) % STEP_TICKS) + 1) / STEP_TICKS;
  return [
    projectiles[i + FROM] + (projectiles[i + TO] - projectiles[i + FROM]) * part,
    projectiles[i + FROM + 1] + (projectiles[i + TO + 1] - projectiles[i + FROM + 1]) * part,
    projectiles[i + FROM + 2] + (projectiles[i + TO + 2] - projectiles[i + FROM + 2]) * part,
  ];
}

/** A copy's speed, m/s. */
export const copySpeed = ({ projectiles }: RunState, i: number): Vec3 => [
  projectiles[i + SPEED],
  projectiles[i + SPEED + 1],
  projectiles[i + SPEED + 2],
];

/**
 * Begins a copy's next step, of several ticks: copies take turns, for they need be no finer. Returns
 * whether it is still there.
 */
function moveCopy(world: World, s: RunState, t: ProjectileEmitter, i: number): boolean {
  const { projectiles } = s;
  projectiles[i + FROM] = projectiles[i + TO];
  projectiles[i + FROM + 1] = projectiles[i + TO + 1];
  projectiles[i + FROM + 2] = projectiles[i + TO + 2];
  const bounce = t.told.bounce ?? USUAL_BOUNCE;
  // Rolling on ground it goes along it, and falls once there is none.
  const ground = projectiles[i + GROUND];
  let fall = 0;
  if (ground < 0 || !restsOn(world, s, t, i, ground)) {
    projectiles[i + GROUND] = -1;
    fall = world.gravity;
  }
  let time = STEP;
  for (let slide = 0; slide < 3 && time > 1e-9; slide++) {
    const vx = projectiles[i + SPEED];
    const vz = projectiles[i + SPEED + 2];
    const before = projectiles[i + SPEED + 1];
    // Over a time it falls at the mean of its speeds before and after.
    const mean = before - 0.5 * fall * time;
    if (vx * vx + mean * mean + vz * vz < 1e-6) break;
    const dx = vx * time;
    const dy = mean * time;
    const dz = vz * time;
    placeOf(projectiles, i, flight);
    flight.body = t.body;
    flight.dx = dx;
    flight.dy = dy;
    flight.dz = dz;
    flight.own = t.piece;
    const hit = castCapsule(world, s, flight, contact);
    const closing = hit ? -(contact.nx * dx + contact.ny * dy + contact.nz * dz) : 0;
    const part = hit ? Math.max(0, contact.t - SKIN / Math.max(closing, 1e-9)) : 1;
    projectiles[i + TO] += dx * part;
    projectiles[i + TO + 1] += dy * part;
    projectiles[i + TO + 2] += dz * part;
    const vy = before - fall * time * part;
    projectiles[i + SPEED + 1] = vy;
    if (!hit) break;
    const { nx, ny } = contact;
    const nz = world.lane === null ? contact.nz : 0;
    const into = nx * vx + ny * vy + nz * vz;
    // Small impacts are rolling: they would else never come to rest.
    const lively = world.colliders[contact.collider].surface?.bounce ?? bounce;
    const back = into < 0 ? -into * (1 + (into < -LEAST_BOUNCE ? lively : 0)) : 0;
    projectiles[i + SPEED] += nx * back;
    projectiles[i + SPEED + 1] += ny * back;
    projectiles[i + SPEED + 2] += nz * back;
    if (ny > FLAT && into >= -LEAST_BOUNCE) {
      projectiles[i + GROUND] = contact.collider;
      fall = 0;
    }
    time *= 1 - part;
  }
  return projectiles[i + TO + 1] + 2 * t.body.radius > tideOf(s);
}

/** Ticks of a copy's step, and its seconds. */
const STEP_TICKS = 4;
const STEP = STEP_TICKS / TICKS_PER_SECOND;
/** Impacts slower than this do not bounce, m/s. */
const LEAST_BOUNCE = 1.2;
/** Least upward part of the normal of ground that a copy rolls on. */
const FLAT = 0.3;

/** Where a copy has got to. */
function placeOf(projectiles: Float64Array, i: number, out: CapsulePath): void {
  out.x = projectiles[i + TO];
  out.y = projectiles[i + TO + 1];
  out.z = projectiles[i + TO + 2];
}

/** Has a rolling copy gain and lose speed by its ground. Returns whether it still lies on it. */
function restsOn(
  world: World,
  s: RunState,
  t: ProjectileEmitter,
  i: number,
  ground: number,
): boolean {
  const { projectiles } = s;
  const c = world.colliders[ground];
  if (isDisabled(world, s, c)) return false;
  placeOf(projectiles, i, flight);
  const gap = signedDistance(world, s, t.body, c, flight);
  const { distance, nx, ny, nz } = gap;
  if (distance > 3 * SKIN || ny < FLAT) return false;
  const g = world.gravity * STEP;
  // A sphere that rolls gains 5/7 of what pulls it along.
  const vx = projectiles[i + SPEED] + g * ny * nx * (5 / 7);
  const vy = projectiles[i + SPEED + 1] + g * (ny * ny - 1) * (5 / 7);
  const vz = projectiles[i + SPEED + 2] + (world.lane === null ? g * ny * nz * (5 / 7) : 0);
  const speed = Math.sqrt(vx * vx + vy * vy + vz * vz);
  const hold = speed > 0 ? Math.max(0, 1 - (ROLLING * g) / speed) : 0;
  const into = vx * nx + vy * ny + vz * nz;
  projectiles[i + SPEED] = (vx - into * nx) * hold;
  projectiles[i + SPEED + 1] = (vy - into * ny) * hold;
  projectiles[i + SPEED + 2] = (vz - into * nz) * hold;
  return true;
}

/** Whether a copy touches the runner where both have got to: the upright capsule against the ball. */
function meetsRunner(world: World, s: RunState, t: ProjectileEmitter, i: number): boolean {
  const runner = world.bodies[s.size];
  const reach = t.body.radius + runner.radius;
  const [bx, foot, bz] = copyPlace(s, i);
  const by = foot + t.body.radius;
  const middle = s.y + centreHeight(runner);
  const up = Math.min(runner.half, Math.max(-runner.half, by - middle));
  const [dx, dy, dz] = [bx - s.x, by - middle - up, bz - s.z];
  return dx * dx + dy * dy + dz * dz < reach * reach;
}
