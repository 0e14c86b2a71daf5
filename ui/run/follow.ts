import { shortestAngle } from '@/core/geometry';
import type { Course } from '@/core/course';
import { cameraNow, cameraOf, lookAt } from '@/core/route';
import { TAN_HALF_FIELD, useView } from '../scene';
import type { LiveRun } from './liveRun';
import { RUNNER_ROWS } from './runners';

/** Keeps the eye on the runner as the course's camera says, with more of what comes than of what was. */
export function follow(live: LiveRun, course: Course, delta: number, atOnce: boolean): void {
  const view = useView.getState();
  const { state, world } = live;
  const tall = view.height > view.width;
  const camera = cameraNow(world, state, cameraOf(course, tall), tall);
  const reach = camera.distance * TAN_HALF_FIELD * (view.width / view.height);
  const heading =
    RUNNER_ROWS[world.runner.kind].controls.kind === 'pedals'
      ? (Math.atan2(-state.fz, state.fx) * 180) / Math.PI
      : state.heading;
  // An eye behind the runner comes round after it, as long as it moves; a cart's keeps close.
  const turn = shortestAngle(90 - heading - view.yaw);
  const moving = Math.hypot(state.vx, state.vz) > 0.5;
  const pace = RUNNER_ROWS[world.runner.kind].follow;
  const turned = atOnce
    ? 90 - heading
    : view.yaw + (moving ? turn * (1 - Math.exp(-delta * pace)) : 0);
  const look = lookAt(camera, { ...state, heading }, reach, turned);
  const ease = atOnce ? 1 : 1 - Math.exp(-delta * (camera.kind === 'side' ? 8 : 5));
  const mix = (axis: 0 | 1 | 2, part: number) =>
    view.target[axis] + (look.target[axis] - view.target[axis]) * part;
  // What follows behind is never late along the ground; all else comes after gently.
  const close = camera.kind === 'behind' ? 1 : ease;
  view.look({
    mode: camera.kind === 'side' ? 'side' : 'free',
    yaw: camera.kind === 'behind' ? turned : look.yaw,
    pitch: camera.kind === 'behind' && !atOnce ? view.pitch : look.pitch,
    distance: atOnce ? look.distance : view.distance + (look.distance - view.distance) * ease,
    target: [mix(0, close), mix(1, ease), mix(2, close)],
  });
}
