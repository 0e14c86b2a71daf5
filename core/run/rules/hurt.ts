import type { Vec3 } from '../../geometry';
import { centreHeight, type Collider, ticksOf, type World } from '../world';
import type { EmitEvent, RunState } from '../state';
import { respawn } from '../contact';
import { speedOf, velocityOf } from '../move';
import { copyPlace, copySpeed, emitterOfCopy } from './emitters';

/** Ticks after what threw the runner off was left, in which it does not throw it again. */
const QUIET_TICKS = ticksOf(0.25);

/**
 * Acts on a hazard of the course that is met. Returns whether the tick ends with it.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param c what hurts
 * @param part the part of the tick after which it was met, 0 to 1
 * @param normal the way out of it there, of length 1
 * @param say is told what happened
 */
export function hurtByPiece(
  world: World,
  s: RunState,
  c: Collider,
  part: number,
  normal: Vec3,
  say: EmitEvent,
): boolean {
  if (c.hurt.does !== 'push') return hurt(world, s, c.hurt, c.piece, part, say);
  const from = velocityOf(world, s, c.index, normal);
  if (isThrownAnew(world, s, c.piece, closingOn(world, s, normal, from))) {
    say('hazard', part, c.piece);
    throwOff(world, s, normal, from, c.hurt.force);
  }
  return false;
}

/**
 * Acts on a thrown copy that meets the runner. Returns whether the tick ends with it.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param copy where its numbers begin in the state's
 * @param say is told what happened
 */
export function hurtByCopy(world: World, s: RunState, copy: number, say: EmitEvent): boolean {
  const { hurt: does, body, piece } = emitterOfCopy(world, copy);
  if (does.does !== 'push') return hurt(world, s, does, undefined, 1, say);
  const runner = world.bodies[s.size];
  const [x, y, z] = copyPlace(s, copy);
  const middle = s.y + centreHeight(runner);
  const centre = y + body.radius;
  const near = Math.max(middle - runner.half, Math.min(middle + runner.half, centre));
  const off: Vec3 = [s.x - x, near - centre, s.z - z];
  const l = Math.sqrt(off[0] * off[0] + off[1] * off[1] + off[2] * off[2]);
  const normal: Vec3 = l > 0 ? [off[0] / l, off[1] / l, off[2] / l] : [0, 1, 0];
  const from = copySpeed(s, copy);
  if (isThrownAnew(world, s, piece, closingOn(world, s, normal, from))) {
    say('hazard', 1);
    throwOff(world, s, normal, from, does.force);
  }
  return false;
}

/** How fast the runner closes on what goes at a speed of its own, m/s. */
function closingOn(world: World, s: RunState, [x, y, z]: Vec3, from: ArrayLike<number>): number {
  const own = s.ground < 0 ? STANDS : speedOf(world, s, s.ground);
  return (
    (from[0] - s.vx - own[0]) * x + (from[1] - s.vy - own[1]) * y + (from[2] - s.vz - own[2]) * z
  );
}
const STANDS = [0, 0, 0];

/** What hurts sends back or slows. Returns whether the tick ends with it. */
function hurt(
  world: World,
  s: RunState,
  { does, force }: Collider['hurt'],
  piece: number | undefined,
  part: number,
  say: EmitEvent,
): boolean {
  if (world.unharmed) return false;
  if (does === 'back') {
    say('hazard', part, piece);
    s.falls++;
    respawn(world, s, say);
    return true;
  }
  if (s.tick < s.slowUntil) return false;
  say('hazard', part, piece);
  s.slowUntil = s.tick + ticksOf(force);
  return false;
}

/**
 * Whether a piece throws the runner off: it does so once for each time it is touched, and of several that are touched
 * together one does. Notes that it is touched.
 * @param closing how fast it is closed on, m/s
 */
function isThrownAnew({ unharmed }: World, s: RunState, piece: number, closing: number): boolean {
  if (unharmed) return false;
  const quiet = s.tick - s.thrownTick <= QUIET_TICKS;
  s.thrownTick = s.tick;
  if (quiet && (s.thrownBy === piece || closing < CLOSING)) return false;
  s.thrownBy = piece;
  return true;
}

/** Speed towards another hazard from which that throws as well, m/s. */
const CLOSING = 0.5;

/**
 * Throws the runner off what it met.
 * @param normal the way out of it, of length 1
 * @param from the speed of what was met, m/s
 * @param speed that it is thrown at, as seen from there, m/s
 */
function throwOff(
  { lane }: World,
  s: RunState,
  [nx, ny, nz]: Vec3,
  from: ArrayLike<number>,
  speed: number,
): void {
  let [x, y, z] = [nx, ny, nz];
  // Not into what it stands on, nor out of its plane.
  if (lane !== null) z = 0;
  if (s.ground >= 0) {
    const into = Math.min(0, x * s.gx + y * s.gy + z * s.gz);
    x -= into * s.gx;
    y -= into * s.gy;
    z -= into * s.gz;
  }
  const l = Math.sqrt(x * x + y * y + z * z);
  if (l < LEAST) [x, y, z] = [s.gx, s.gy, s.gz];
  const k = l < LEAST ? speed : speed / l;
  s.vx = from[0] + x * k;
  s.vy = from[1] + y * k;
  s.vz = lane === null ? from[2] + z * k : 0;
  s.ground = -1;
  s.air = OFF;
  s.coyote = 0;
  s.rising = false;
}

/** Length under which a way out says nothing. */
const LEAST = 1e-3;
/** Ticks in the air that a runner that was thrown off has behind it. */
const OFF = 12;
