import { newTouch } from '../../collision';
import { rotate } from '../../geometry';
import { applyPose, STILL } from '../../motion';
import {
  carriedAlong,
  type Collider,
  centreHeight,
  type Mouth,
  poseMover,
  type World,
} from '../world';
import type { Trajectory, RunState } from '../state';
import { isDisabled } from './presence';
import { queryBox } from './near';
import { signedDistance, outsideCurrentBounds, poseOf, castAgainst } from './cast';

/** A sensor met within a tick, the part of the tick's way after which, and whether it is still within. */
export interface Meeting {
  readonly collider: Collider;
  readonly timeOfImpact: number;
}

const touch = newTouch();
const NONE: readonly Meeting[] = [];

/** The sensors and hazards the runner's body met along a tick's way, in the order it met them. */
export function sensorHits(world: World, s: RunState, path: Trajectory): readonly Meeting[] {
  const { points, count } = path;
  const body = world.bodies[s.size];
  const end = 3 * count;
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
  x0 -= r;
  x1 += r;
  y1 += 2 * centreHeight(body);
  z0 -= r;
  z1 += r;
  const { sensors } = queryBox(world, x0, y0, z0, x1, y1, z1);
  let found: Meeting[] | null = null;
  const { list, boxes } = sensors;
  for (let i = 0, b = 0; i < list.length; i++, b += 6) {
    if (x1 < boxes[b] || x0 > boxes[b + 3] || y1 < boxes[b + 1] || y0 > boxes[b + 4]) continue;
    if (z1 < boxes[b + 2] || z0 > boxes[b + 5]) continue;
    const c = list[i];
    if (c.isDynamic && outsideCurrentBounds(world, s, c, x0, y0, z0, x1, y1, z1)) continue;
    if (isDisabled(world, s, c)) continue;
    const part = meets(world, s, c, path);
    if (part >= 0 && c.mouth && isBelow(world, s, c, c.mouth)) continue;
    if (part >= 0) (found ??= []).push({ collider: c, timeOfImpact: part });
  }
  if (!found) return NONE;
  return found.sort(
    (a, b) => a.timeOfImpact - b.timeOfImpact || a.collider.index - b.collider.index,
  );
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

/** The part of the way after which the body meets a collider, or -1. */
function meets(world: World, s: RunState, c: Collider, path: Trajectory): number {
  const { points, count } = path;
  const body = world.bodies[s.size];
  const last = 3 * count;
  if (c.mover >= 0) {
    // Seen from the mover: the runner's last place goes along with it, and the rest is the way made
    // against it. Good to the turn within one tick.
    const [x, y, z] = carriedAlong(poseOf(world, s, c), points[0], points[1], points[2]);
    const dx = points[last] - x;
    const dy = points[last + 1] - y;
    const dz = points[last + 2] - z;
    touch.t = 1;
    if (
      dx * dx + dy * dy + dz * dz > 0 &&
      castAgainst(world, s, body, c, x, y, z, dx, dy, dz, touch)
    ) {
      return touch.t;
    }
  } else {
    for (let leg = 0; leg < count; leg++) {
      const i = 3 * leg;
      const dx = points[i + 3] - points[i];
      const dy = points[i + 4] - points[i + 1];
      const dz = points[i + 5] - points[i + 2];
      touch.t = 1;
      if (
        castAgainst(world, s, body, c, points[i], points[i + 1], points[i + 2], dx, dy, dz, touch)
      ) {
        return (leg + touch.t) / count;
      }
    }
  }
  // Already within, moving out or not at all.
  return signedDistance(world, s, body, c, points[last], points[last + 1], points[last + 2])
    .distance < 0
    ? 1
    : -1;
}
