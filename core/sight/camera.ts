import type { Course, CourseCamera } from '../course';
import type { Vec3 } from '../geometry';
import { FieldIndex, RUNNER_SPECS, type RunState, type World } from '../run';
import type { Eye } from './eye';

/** How a camera looks at a runner: everything that is left to choose is settled. */
export interface CameraView {
  readonly kind: CourseCamera['kind'];
  /** From the eye to the place looked at, m; degrees down; metres looked ahead. */
  readonly distance: number;
  readonly pitch: number;
  readonly ahead: number;
  /** Where a camera that stays stands. */
  readonly at?: Vec3;
}

/** Metres the runner's middle is above its foot, about. */
export const MIDDLE = 0.9;

/** The camera a course says, or its kind and runner usually have; taller pictures stand further off. */
export function cameraOf(
  { camera, space, runner }: Pick<Course, 'camera' | 'space' | 'runner'>,
  tall: boolean,
): CameraView {
  const kind = camera?.kind ?? (space === 'side-on' ? 'side' : 'behind');
  const usual = {
    side: { distance: 22, pitch: 7, ahead: 0.27 },
    behind: { ...RUNNER_SPECS[runner.kind].camera, ahead: 3 },
    above: { distance: 24, pitch: 68, ahead: 2 },
    fixed: { distance: 20, pitch: 20, ahead: 0 },
  }[kind];
  return {
    kind,
    distance: (camera?.distance ?? usual.distance) * (tall ? 1.5 : 1),
    pitch: camera?.pitch ?? usual.pitch,
    ahead: camera?.ahead ?? usual.ahead,
    ...(camera?.at ? { at: camera.at as Vec3 } : {}),
  };
}

/**
 * The camera of the region a runner is in, or the course's own.
 * @param world the course made ready
 * @param s the run’s state
 * @param own the course’s own camera
 * @param tall whether the picture is higher than wide
 */
export function cameraNow(world: World, s: RunState, own: CameraView, tall: boolean): CameraView {
  const field = world.colliders[s.field[FieldIndex.camera] - 1]?.field;
  if (field?.kind !== 'camera') return own;
  const usual = cameraOf(
    {
      camera: { kind: field.camera, distance: field.distance },
      space: world.lane === null ? 'free' : 'side-on',
      runner: { kind: world.runner.kind },
    },
    tall,
  );
  return usual;
}

/**
 * Where a camera looks from at a runner.
 * @param camera the camera as it is now
 * @param reach metres to either side that the picture shows where the runner is
 * @param turned degrees the camera has about y, for one that follows behind
 */
export function lookAt(
  camera: CameraView,
  { x, y, z, heading }: { x: number; y: number; z: number; heading: number },
  reach: number,
  turned = 90 - heading,
): Eye {
  const { kind, distance, pitch, ahead, at } = camera;
  if (kind === 'side') {
    // The part of the picture's half that lies ahead of the runner.
    const lead = (heading === 180 ? -1 : 1) * reach * Math.min(0.9, ahead);
    return { target: [x + lead, y + 1.4, z], distance, yaw: 0, pitch };
  }
  if (kind === 'fixed' && at) {
    const [dx, dy, dz] = [x - at[0], y + MIDDLE - at[1], z - at[2]];
    const level = Math.sqrt(dx * dx + dz * dz);
    const degrees = 180 / Math.PI;
    return {
      target: [x, y + MIDDLE, z],
      distance: Math.max(1, Math.sqrt(level * level + dy * dy)),
      yaw: Math.atan2(dx, -dz) * degrees,
      pitch: Math.atan2(-dy, level) * degrees,
    };
  }
  const yaw = kind === 'above' ? 0 : turned;
  const a = (yaw * Math.PI) / 180;
  return {
    target: [x + Math.sin(a) * ahead, y + MIDDLE, z - Math.cos(a) * ahead],
    distance,
    yaw,
    pitch,
  };
}
