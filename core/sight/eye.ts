import { mapVec3, type Vec3 } from '../geometry';

/** Height of the picture in degrees of view. */
export const FIELD = 32;
/** Half the picture's height at a depth of one metre, m. */
export const TAN_HALF_FIELD = Math.tan((FIELD * Math.PI) / 360);

/** Where the eye is: so far from a place looked at, turned and tilted (degrees). */
export interface Eye {
  readonly target: Vec3;
  readonly distance: number;
  /** 0 looks along -z, as at a side-on stage; grows to the right. */
  readonly yaw: number;
  /** 0 looks level, 90 straight down. */
  readonly pitch: number;
}

/** Directions of the picture: to the right, up, and into it. */
export function axes({ yaw, pitch }: Pick<Eye, 'yaw' | 'pitch'>): {
  right: Vec3;
  up: Vec3;
  ahead: Vec3;
} {
  const [y, p] = [(yaw * Math.PI) / 180, (pitch * Math.PI) / 180];
  const [sy, cy, sp, cp] = [Math.sin(y), Math.cos(y), Math.sin(p), Math.cos(p)];
  return {
    right: [cy, 0, sy],
    up: [sy * sp, cp, -cy * sp],
    ahead: [sy * cp, -sp, -cy * cp],
  };
}

/** Where the eye itself is. */
export function eyePlace(eye: Eye): Vec3 {
  const { ahead } = axes(eye);
  return mapVec3((i) => eye.target[i] - ahead[i] * eye.distance);
}

/**
 * Has it be asked whether places lie in an eye's picture.
 * @param eye the eye
 * @param shape width of the picture over its height
 * @param part of half the picture that counts, 0 to 1
 */
export function pictureOf(eye: Eye, shape: number, part = 1): (p: Vec3) => boolean {
  const { right, up, ahead } = axes(eye);
  const [x, y, z] = eyePlace(eye);
  const high = part * TAN_HALF_FIELD;
  const wide = high * shape;
  return (p) => {
    const [dx, dy, dz] = [p[0] - x, p[1] - y, p[2] - z];
    const depth = dx * ahead[0] + dy * ahead[1] + dz * ahead[2];
    return (
      depth > 0 &&
      Math.abs(dx * right[0] + dy * right[1] + dz * right[2]) <= wide * depth &&
      Math.abs(dx * up[0] + dy * up[1] + dz * up[2]) <= high * depth
    );
  };
}
