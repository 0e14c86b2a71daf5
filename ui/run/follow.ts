import type { Course } from '@/core/course';
import { type DrawnScene, followedEye, type FollowingEye } from '@/core/sight';
import { useView } from '../scene';
import type { LiveRun } from './liveRun';

/**
 * Keeps the view on the runner as the course's camera says.
 * @param before the eye in the frame before; null to look at the runner anew
 * @param live the run
 * @param course the course that is run
 * @param scene what is drawn of it
 * @param delta seconds since the frame before
 * @returns the eye now
 */
export function follow(
  before: FollowingEye | null,
  { state, world }: Pick<LiveRun, 'state' | 'world'>,
  course: Course,
  scene: DrawnScene,
  delta: number,
): FollowingEye {
  const { width, height, look } = useView.getState();
  const eye = followedEye(before, { course, world, state, scene, shape: width / height }, delta);
  const { kind, target, distance, yaw, pitch } = eye;
  look({ mode: kind === 'side' ? 'side' : 'free', target, distance, yaw, pitch });
  return eye;
}
