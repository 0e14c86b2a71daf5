import {
  add,
  cosDeg,
  NO_TURN,
  rotate,
  scale,
  sinDeg,
  sub,
  type Matrix3,
  type Vec3,
} from '../geometry';
import { outAndBack, phaseAt, triangle, type Ease } from './wave';

export const TICKS_PER_SECOND = 120;

interface Timed {
  /** Seconds for one whole motion. */
  readonly period: number;
  /** The part of the period already gone by when a run starts, 0 to 1. */
  readonly phase: number;
  readonly ease: Ease;
}
/** Out along `travel` (metres) and back again. */
export interface Slide extends Timed {
  readonly kind: 'slide';
  readonly travel: Vec3;
}
/** To and fro about an axis through `pivot` (unit vector), `angle` degrees to either side. */
export interface Swing extends Timed {
  readonly kind: 'swing';
  readonly pivot: Vec3;
  readonly axis: Vec3;
  readonly angle: number;
}
/** Round and round an axis through `pivot` (unit vector), `turns` times a period; below 0 backwards. */
export interface Spin extends Timed {
  readonly kind: 'spin';
  readonly pivot: Vec3;
  readonly axis: Vec3;
  readonly turns: number;
}
export type Motion = Slide | Swing | Spin;

/** A rigid placement: a point p goes to turn·p + shift. */
export interface Pose {
  readonly turn: Matrix3;
  readonly shift: Vec3;
}

export const STILL: Pose = { turn: NO_TURN, shift: [0, 0, 0] };

/** Where a motion has carried its piece at a tick: a function of the tick alone. */
export function poseAt(motion: Motion, tick: number): Pose {
  const u = phaseAt(tick / TICKS_PER_SECOND, motion.period, motion.phase);
  if (motion.kind === 'slide') {
    return { turn: NO_TURN, shift: scale(motion.travel, outAndBack(u, motion.ease)) };
  }
  const turn = aboutAxis(motion.axis, angleAt(motion, u));
  return { turn, shift: sub(motion.pivot, rotate(turn, motion.pivot)) };
}

/** Degrees a turning motion has come to at a part of its period. */
function angleAt(motion: Swing | Spin, u: number): number {
  if (motion.kind === 'spin') return 360 * motion.turns * u;
  return motion.angle * (motion.ease === 'even' ? triangle(u) : sinDeg(360 * u));
}

export const applyPose = (pose: Pose, p: Vec3): Vec3 => add(rotate(pose.turn, p), pose.shift);

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

/** The same motion in the world, for a piece turned by `turn` and standing at `at`. */
export function placeMotion(motion: Motion, turn: Matrix3, at: Vec3): Motion {
  if (motion.kind === 'slide') return { ...motion, travel: rotate(turn, motion.travel) };
  return {
    ...motion,
    pivot: add(rotate(turn, motion.pivot), at),
    axis: rotate(turn, motion.axis),
  };
}

/** The greatest speed in m/s of a point `reach` metres from a swing's axis, or of a slide. */
export function topSpeed(motion: Motion, reach: number): number {
  if (motion.kind === 'slide') {
    const [x, y, z] = motion.travel;
    const pace = (2 * Math.sqrt(x * x + y * y + z * z)) / motion.period;
    return motion.ease === 'even' ? pace : 1.5 * pace;
  }
  if (motion.kind === 'spin') return (2 * Math.PI * Math.abs(motion.turns) * reach) / motion.period;
  const radians = (motion.angle * Math.PI) / 180;
  const rate = (motion.ease === 'even' ? 4 : 2 * Math.PI) / motion.period;
  return radians * rate * reach;
}
