import {
  add,
  cosDeg,
  multiply,
  NO_TURN,
  rotate,
  scale,
  sinDeg,
  sub,
  transpose,
  type Matrix3,
  type Vec3,
} from '../geometry';

/** A placement: a point p goes to turn·(p·size) + shift. */
export interface Pose {
  readonly turn: Matrix3;
  readonly shift: Vec3;
  readonly size: number;
}

export const STILL: Pose = { turn: NO_TURN, shift: [0, 0, 0], size: 1 };

export const applyPose = ({ turn, shift, size }: Pose, p: Vec3): Vec3 => {
  const q = size === 1 ? p : scale(p, size);
  return turn === NO_TURN ? add(q, shift) : add(rotate(turn, q), shift);
};

/** Where the point was that a pose has brought here. */
export function undoPose({ turn, shift, size }: Pose, p: Vec3): Vec3 {
  const q = rotate(transpose(turn), sub(p, shift));
  return size === 1 ? q : scale(q, 1 / size);
}

/** The pose `a` after `b`. */
export function composePoses(a: Pose, b: Pose): Pose {
  if (a === STILL) return b;
  if (b === STILL) return a;
  return {
    turn: a.turn === NO_TURN ? b.turn : b.turn === NO_TURN ? a.turn : multiply(a.turn, b.turn),
    shift: applyPose(a, b.shift),
    size: a.size * b.size,
  };
}

/** A pose in the frame of a piece, seen from the world the piece stands in. */
export function poseInWorld(pose: Pose, turn: Matrix3, at: Vec3): Pose {
  const turned =
    pose.turn === NO_TURN ? NO_TURN : multiply(multiply(turn, pose.turn), transpose(turn));
  const bare = { turn: turned, shift: [0, 0, 0] as Vec3, size: pose.size };
  return { ...bare, shift: sub(add(rotate(turn, pose.shift), at), applyPose(bare, at)) };
}

/** Rodrigues' rotation formula (1840) as a matrix; `axis` has length 1. */
export function aboutAxis([x, y, z]: Vec3, degrees: number): Matrix3 {
  const c = cosDeg(degrees);
  const s = sinDeg(degrees);
  const k = 1 - c;
  // prettier-ignore
  return [
    c + x * x * k, x * y * k - z * s, x * z * k + y * s,
    y * x * k + z * s, c + y * y * k, y * z * k - x * s,
    z * x * k - y * s, z * y * k + x * s, c + z * z * k,
  ];
}
