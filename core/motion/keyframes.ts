import { turnMatrix, type Matrix3, type Vec3 } from '../geometry';
import type { PosesMotion } from '../course';
import { STILL, type Pose } from './pose';
import { eased, type Ease } from './wave';
import { wayTime, type CompiledPath } from './path';

interface Keyframe {
  readonly at: Vec3;
  readonly turn: Vec3;
  readonly size: number;
  /** When it is reached and when it is left, s. */
  readonly from: number;
  readonly to: number;
  readonly ease: Ease;
}

/** Poses at times, gone through one after the other; from where the piece stands. */
export interface Poses {
  readonly kind: 'poses';
  readonly keys: readonly Keyframe[];
  readonly time: number;
  readonly period: number;
  readonly loopMode: CompiledPath['loopMode'];
  /** Seconds of the wait in its last pose. */
  readonly lastWait: number;
  readonly phase: number;
}

const REST = { at: [0, 0, 0], turn: [0, 0, 0], size: 1 } as const;

/** The poses a document describes; round ones come back to the first by the time of their last leg. */
export function compileKeyframes({ poses, after = 'back', phase = 0 }: PosesMotion): Poses {
  const keys: Keyframe[] = [{ ...REST, from: 0, to: 0, ease: 'even' }];
  let from = 0;
  const add = (key: Omit<Keyframe, 'from' | 'to'>, time: number, wait: number) => {
    from += time;
    keys.push({ ...key, from, to: from + wait });
    from += wait;
  };
  for (const { at, turn = REST.turn, scale = 1, time, wait = 0, ease = 'smooth' } of poses) {
    add({ at, turn, size: scale, ease }, time, wait);
  }
  if (after === 'round') {
    const last = poses[poses.length - 1];
    add({ ...REST, ease: last.ease ?? 'smooth' }, last.time, 0);
  }
  const last = keys[keys.length - 1];
  const lastWait = last.to - last.from;
  return {
    kind: 'poses',
    keys,
    time: from,
    period: after === 'back' ? 2 * from - lastWait : from,
    loopMode: after,
    lastWait,
    phase,
  };
}

/** The pose at a time in seconds, in the piece's own frame. */
export function sampleKeyframes(poses: Poses, seconds: number): Pose {
  const { keys } = poses;
  const t = wayTime(seconds + poses.phase * poses.period, poses);
  let i = 0;
  while (i + 1 < keys.length && t > keys[i].to) {
    if (t <= keys[i + 1].from) break;
    i++;
  }
  const a = keys[i];
  const b = keys[i + 1];
  if (!b || t <= a.to) return poseOf(a.at, a.turn, a.size);
  const u = eased((t - a.to) / (b.from - a.to), b.ease);
  const mix = (x: number, y: number) => x + (y - x) * u;
  const three = (p: Vec3, q: Vec3): Vec3 => [mix(p[0], q[0]), mix(p[1], q[1]), mix(p[2], q[2])];
  return poseOf(three(a.at, b.at), three(a.turn, b.turn), mix(a.size, b.size));
}

/** Seconds since the first of a motion's poses, so many to each of its legs, ends included. */
export const keyTimes = ({ keys }: Poses, each: number): number[] =>
  keys.slice(1).flatMap((key, i) => {
    const { to } = keys[i];
    return Array.from({ length: each + 1 }, (_, k) => to + ((key.from - to) * k) / each);
  });

/** A pose from metres, degrees and times its size. */
export function poseOf(at: Vec3, turn: Vec3, size: number): Pose {
  const matrix: Matrix3 = turnMatrix(turn);
  if (at.every((v) => v === 0) && turn.every((v) => v === 0) && size === 1) return STILL;
  return { turn: matrix, shift: at, size };
}
