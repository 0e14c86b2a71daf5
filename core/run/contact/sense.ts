import { newTouch } from '../../collision';
import { rotate, type Vec3 } from '../../geometry';
import { applyPose, STILL } from '../../motion';
import {
  type Capsule,
  carriedAlong,
  type Collider,
  centreHeight,
  type Mouth,
  newQueryBox,
  poseMover,
  type World,
} from '../world';
import type { Trajectory, RunState } from '../state';
import { isDisabled } from './presence';
import { outsideBox } from './near';
import { isFreeOfLoose, outsideCurrentBounds } from './currentBounds';
import { castAgainst, newCapsulePath, poseOf, signedDistance } from './cast';

/** A sensor met within a tick, the part of the tick's way after which, and whether it is still within. */
export interface Meeting {
  readonly collider: Collider;
  readonly timeOfImpact: number;
  /** The way out of it where it was met, of length 1. */
  readonly normal: Vec3;
}

const touch = newTouch();
const box = newQueryBox();
const path = newCapsulePath();
const NONE: readonly Meeting[] = [];

/** The sensors and hazards the runner's body met along a tick's way, in the order it met them. */
export function sensorHits(world: World, s: RunState, trajectory: Trajectory): readonly Meeting[] {
  const { points, count } = trajectory;
  const body = world.bodies[s.size];
  spanned(points, 3 * count, body);
  const { sensors } = world.broadPhase.query(box);
  let found: Meeting[] | null = null;
  const { list, boxes } = sensors;
  const isFree = isFreeOfLoose(world, s, box);
  for (let i = 0, b = 0; i < list.length; i++, b += 6) {
    if (outsideBox(box, boxes, b)) continue;
    const c = list[i];
    if (c.isDynamic && (isFree || outsideCurrentBounds(world, s, c, box))) continue;
    if (isDisabled(world, s, c)) continue;
    const part = meets(world, s, c, trajectory);
    if (part >= 0 && c.mouth && isBelow(world, s, c, c.mouth)) continue;
    if (part >= 0) {
      (found ??= []).push({ collider: c, timeOfImpact: part, normal: [out.nx, out.ny, out.nz] });
    }
  }
  if (!found) return NONE;
  return found.sort(
    (a, b) => a.timeOfImpact - b.timeOfImpact || a.collider.index - b.collider.index,
  );
}

/** Has the box be that about a body all along a tick's way. */
function spanned(points: Float64Array, end: number, body: Capsule): void {
  let x0 = points[0];
  let x1 = x0;
  let y0 = points[1];
  let y1 = y0;
  let z0 = points[2];
  let z1 = z0;
  for (let i = 3; i <= end; i += 3) {
    x0 = Math.min(x0, points[i]);
    x1 = Math.max(x1, points[i]);
    y0 = Math.min(y0, points[i + 1]);
    y1 = Math.max(y1, points[i + 1]);
    z0 = Math.min(z0, points[i + 2]);
    z1 = Math.max(z1, points[i + 2]);
  }
  const r = body.radius;
  box.x0 = x0 - r;
  box.y0 = y0;
  box.z0 = z0 - r;
  box.x1 = x1 + r;
  box.y1 = y1 + 2 * centreHeight(body);
  box.z1 = z1 + r;
}

/** Whether the runner is wholly below the ground out of which a collider comes, and so is not met by it. */
function isBelow(world: World, s: RunState, { mover }: Collider, { at, up }: Mouth): boolean {
  const body = world.bodies[s.size];
  // The ground goes with what carries the piece, not with what comes out of it.
  const carrier = world.movers[mover].parent;
  const pose = carrier < 0 ? STILL : poseMover(world.movers, s, carrier).pose;
  const [px, py, pz] = applyPose(pose, at);
  const [nx, ny, nz] = rotate(pose.turn, up);
  const middle = nx * (s.x - px) + ny * (s.y + centreHeight(body) - py) + nz * (s.z - pz);
  return middle + body.half * Math.abs(ny) + body.radius <= 0;
}

/** The way out of what `meets` found. */
const out = { nx: 0, ny: 1, nz: 0 };

function noteOut({ nx, ny, nz }: typeof out): void {
  out.nx = nx;
  out.ny = ny;
  out.nz = nz;
}

/** The part of the way after which the body meets a collider, or -1; `out` then holds the way out of it. */
function meets(world: World, s: RunState, c: Collider, { points, count }: Trajectory): number {
  const last = 3 * count;
  path.body = world.bodies[s.size];
  if (c.mover >= 0) {
    // Seen from the mover: the runner's last place goes along with it, and the rest is the way made
    // against it. Good to the turn within one tick.
    const [x, y, z] = carriedAlong(poseOf(world, s, c), points[0], points[1], points[2]);
    path.x = x;
    path.y = y;
    path.z = z;
    const dx = (path.dx = points[last] - x);
    const dy = (path.dy = points[last + 1] - y);
    const dz = (path.dz = points[last + 2] - z);
    touch.t = 1;
    if (dx * dx + dy * dy + dz * dz > 0 && castAgainst(world, s, path, c, touch)) {
      noteOut(touch);
      return touch.t;
    }
  } else {
    for (let leg = 0; leg < count; leg++) {
      const i = 3 * leg;
      path.x = points[i];
      path.y = points[i + 1];
      path.z = points[i + 2];
      path.dx = points[i + 3] - points[i];
      path.dy = points[i + 4] - points[i + 1];
      path.dz = points[i + 5] - points[i + 2];
      touch.t = 1;
      if (castAgainst(world, s, path, c, touch)) {
        noteOut(touch);
        return (leg + touch.t) / count;
      }
    }
  }
  // Already within, moving out or not at all.
  path.x = points[last];
  path.y = points[last + 1];
  path.z = points[last + 2];
  const gap = signedDistance(world, s, path.body, c, path);
  noteOut(gap);
  return gap.distance < 0 ? 1 : -1;
}
