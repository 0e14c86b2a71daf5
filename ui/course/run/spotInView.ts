import { groundBelow } from '@/core/edit';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { stationsOf } from '@/core/route';
import { facingAlong, laneOf, type RunFrom } from '@/core/run';
import { pixelOf, type View } from '../../scene';

/** How far below a place of the way the ground may lie, m. */
const DEEP = 2;

/** What of the view is asked. */
type Seen = Pick<View, 'target' | 'distance' | 'yaw' | 'pitch' | 'width' | 'height'>;

/**
 * Where a run from the view begins, facing along the way: on the ground in the middle of the view, or over water at the
 * place of the way in view that is seen nearest to the middle. Null where neither is in view.
 * @param course the course
 * @param view how it is looked at
 * @param way places that the way leads through in order, m
 */
export function spotInView(course: Course, view: Seen, way: readonly Vec3[]): RunFrom | null {
  const lane = laneOf(course);
  const [x, y, z] = view.target;
  const spot = onGround(course, [x, y, lane ?? z]) ?? nearestInView(course, view, way, lane);
  return spot && facingAlong(spot, way, lane);
}

function onGround(course: Course, [x, y, z]: Vec3): Vec3 | null {
  const ground = groundBelow(course, [x, y, z]);
  return ground === null ? null : [x, ground, z];
}

function nearestInView(
  course: Course,
  view: Seen,
  way: readonly Vec3[],
  lane: number | null,
): Vec3 | null {
  const middle = [view.width / 2, view.height / 2] as const;
  const inView = stationsOf(way).flatMap(({ at }) => {
    const pixel = pixelOf(view, at);
    if (!pixel) return [];
    const [px, py] = pixel;
    if (px < 0 || py < 0 || px > view.width || py > view.height) return [];
    return [{ at, away: Math.hypot(px - middle[0], py - middle[1]) }];
  });
  inView.sort((a, b) => a.away - b.away);
  for (const { at } of inView) {
    const spot = onGround(course, [at[0], at[1], lane ?? at[2]]);
    if (spot && at[1] - spot[1] < DEEP) return spot;
  }
  return null;
}
