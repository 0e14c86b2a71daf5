import { clearance, newClearance, newTouch, sweep, type Clearance, type Touch } from '../collision';
import { poseCollider, posedBody, type Collider } from './collider';
import { HOPPER_LIFT, HOPPER_RADIUS } from './hopper';
import { isAway } from './lock';
import type { RunState } from './state';
import { nearBox, type World } from './world';

/** The first touch of a traced way, and what was touched. */
export interface Contact extends Touch {
  collider: number;
}

export const newContact = (): Contact => ({ ...newTouch(), collider: -1 });

/**
 * Moves the runner's body from a foot place by a displacement and finds the first solid it touches.
 * @param skip a collider to leave out, or -1
 * @returns whether anything is touched; `out` then holds the first touch
 */
export function trace(
  world: World,
  s: RunState,
  x: number,
  y: number,
  z: number,
  dx: number,
  dy: number,
  dz: number,
  out: Contact,
  skip = -1,
): boolean {
  const x0 = dx < 0 ? x + dx : x;
  const x1 = dx < 0 ? x : x + dx;
  const y0 = dy < 0 ? y + dy : y;
  const y1 = dy < 0 ? y : y + dy;
  const z0 = dz < 0 ? z + dz : z;
  const z1 = dz < 0 ? z : z + dz;
  const { solids } = nearBox(world, x0, y0, z0, x1, y1, z1);
  out.t = 1;
  out.top = -1;
  out.collider = -1;
  for (let i = 0; i < solids.length; i++) {
    const c = solids[i];
    const { low, high } = c;
    if (x1 < low[0] || x0 > high[0] || y1 < low[1] || y0 > high[1] || z1 < low[2] || z0 > high[2]) {
      continue;
    }
    if (c.index === skip) continue;
    if (c.lock >= 0 && isAway(world, s, c)) continue;
    if (sweepCollider(c, s.tick, x, y, z, dx, dy, dz, out)) out.collider = c.index;
  }
  return out.collider >= 0;
}

/** Sweeps the runner's body against one collider as it stands at a tick. */
export function sweepCollider(
  c: Collider,
  tick: number,
  x: number,
  y: number,
  z: number,
  dx: number,
  dy: number,
  dz: number,
  out: Touch,
): boolean {
  const cy = y + HOPPER_LIFT;
  if (!c.motion) return sweep(posedBody(c), x, cy, z, dx, dy, dz, HOPPER_RADIUS, out);
  poseCollider(c, tick);
  if (c.motion.kind === 'slide') {
    // A slide only shifts, so the resting body serves, seen from the shifted place.
    const { shift } = c.pose;
    return sweep(
      posedBody(c),
      x - shift[0],
      cy - shift[1],
      z - shift[2],
      dx,
      dy,
      dz,
      HOPPER_RADIUS,
      out,
    );
  }
  return sweep(posedBody(c), x, cy, z, dx, dy, dz, HOPPER_RADIUS, out);
}

const scratch = newClearance();

/** Signed distance from the runner's body to a collider at a tick; the result is reused. */
export function gapTo(c: Collider, tick: number, x: number, y: number, z: number): Clearance {
  const cy = y + HOPPER_LIFT;
  if (!c.motion) return clearance(posedBody(c), x, cy, z, HOPPER_RADIUS, scratch);
  poseCollider(c, tick);
  if (c.motion.kind === 'slide') {
    const { shift } = c.pose;
    return clearance(
      posedBody(c),
      x - shift[0],
      cy - shift[1],
      z - shift[2],
      HOPPER_RADIUS,
      scratch,
    );
  }
  return clearance(posedBody(c), x, cy, z, HOPPER_RADIUS, scratch);
}
