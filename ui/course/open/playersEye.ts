import type { Course } from '@/core/course';
import { mapVec3, type Vec3 } from '@/core/geometry';
import { cameraOf, type Eye, lookAt, TAN_HALF_FIELD } from '@/core/sight';
import { type InsetFrame } from '../../scene';

/** Frames players have: a phone's and a wide screen's, as width over height. */
export const FRAME_SHAPES = { phone: 0.52, wide: 1.6 } as const;
export type FrameShape = keyof typeof FRAME_SHAPES;

/** The eye of a course's camera at a part of a way, and where the runner then is; null where there is no way. */
export function playersEye(
  course: Course,
  way: readonly Vec3[],
  at: number,
  shape: FrameShape,
): { look: Eye; runner: Vec3 } | null {
  if (way.length < 2) return null;
  const i = Math.min(way.length - 2, Math.floor(at * (way.length - 1)));
  const [p, q] = [way[i], way[i + 1]];
  const part = at * (way.length - 1) - i;
  const runner = mapVec3((axis) => p[axis] + (q[axis] - p[axis]) * part);
  const heading = (Math.atan2(-(q[2] - p[2]), q[0] - p[0]) * 180) / Math.PI;
  const camera = cameraOf(course, shape === 'phone');
  const facing = camera.kind === 'side' ? (Math.abs(heading) > 90 ? 180 : 0) : heading;
  const look = lookAt(
    camera,
    { x: runner[0], y: runner[1], z: runner[2], heading: facing },
    camera.distance * TAN_HALF_FIELD * FRAME_SHAPES[shape],
  );
  return { look, runner };
}

/** Where the small picture of what players see stands in a canvas, pixels. */
export function insetFrame(shape: FrameShape, height: number): InsetFrame {
  const tall = Math.min(shape === 'phone' ? 210 : 130, height * 0.42);
  return {
    left: 12,
    bottom: 84,
    width: Math.round(tall * FRAME_SHAPES[shape]),
    height: Math.round(tall),
  };
}
