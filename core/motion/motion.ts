import {
  add,
  distance,
  dot,
  length,
  NO_TURN,
  rotate,
  scale,
  sinDeg,
  sub,
  type Matrix3,
  type Vec3,
} from '../geometry';
import { aboutAxis, applyPose, poseInWorld, STILL, type Pose } from './pose';
import { keyTimes, sampleKeyframes, type Poses } from './keyframes';
import { pingPong, phaseAt, triangle, type Ease } from './wave';
import { pointOnPath, type CompiledPath } from './path';

export const TICKS_PER_SECOND = 120;

interface Timed {
  /** Seconds for one whole motion. */
  readonly period: number;
  /** The part of the period already gone by when a run starts, 0 to 1. */
  readonly phase: number;
  readonly ease: Ease;
  /** Whether the period is told in beats. */
  readonly beats?: boolean;
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
/** Carried round a circle without turning: `out` is the way from its middle to the piece's place. */
export interface Circle extends Timed {
  readonly kind: 'circle';
  readonly out: Vec3;
  readonly axis: Vec3;
  readonly turns: number;
}
/** Thrown up by `rise` and falling back, `along` being gone out with one hop and back with the next. */
export interface Hop extends Timed {
  readonly kind: 'hop';
  readonly rise: Vec3;
  readonly along: Vec3;
}
/** A way or poses, with the piece's turn and place that they are told from. */
export type Placed = (CompiledPath | Poses) & { readonly turn: Matrix3; readonly at: Vec3 };
export type Motion = Slide | Swing | Spin | Circle | Hop | Placed;

/** Where a motion has carried its piece at a tick: a function of the tick alone. */
export function poseAt(motion: Motion, tick: number): Pose {
  const seconds = tick / TICKS_PER_SECOND;
  if (motion.kind === 'way') return shifted(rotate(motion.turn, pointOnPath(motion, seconds)));
  if (motion.kind === 'poses') {
    return poseInWorld(sampleKeyframes(motion, seconds), motion.turn, motion.at);
  }
  const u = phaseAt(seconds, motion.period, motion.phase);
  if (motion.kind === 'slide') return shifted(scale(motion.travel, pingPong(u, motion.ease)));
  if (motion.kind === 'hop') {
    const up = scale(motion.rise, 4 * u * (1 - u));
    const turns = seconds / motion.period + motion.phase;
    const back = Math.floor(turns) % 2 === 1;
    return shifted(add(up, scale(motion.along, back ? 1 - u : u)));
  }
  if (motion.kind === 'circle') {
    const turn = aboutAxis(motion.axis, 360 * motion.turns * u);
    return shifted(sub(rotate(turn, motion.out), motion.out));
  }
  const turn = aboutAxis(motion.axis, angleAt(motion, u));
  return { turn, shift: sub(motion.pivot, rotate(turn, motion.pivot)), size: 1 };
}

const shifted = (shift: Vec3): Pose =>
  shift[0] === 0 && shift[1] === 0 && shift[2] === 0 ? STILL : { turn: NO_TURN, shift, size: 1 };

/** Degrees a turning motion has come to at a part of its period. */
function angleAt(motion: Swing | Spin, u: number): number {
  if (motion.kind === 'spin') return 360 * motion.turns * u;
  return motion.angle * (motion.ease === 'even' ? triangle(u) : sinDeg(360 * u));
}

/** The same motion in the world, for a piece turned by `turn` and standing at `at`. */
export const placeMotion = <M extends Motion>(motion: M, turn: Matrix3, at: Vec3): M =>
  placed(motion, turn, at) as M;

function placed(motion: Motion, turn: Matrix3, at: Vec3): Motion {
  switch (motion.kind) {
    case 'slide':
      return { ...motion, travel: rotate(turn, motion.travel) };
    case 'hop':
      return { ...motion, rise: rotate(turn, motion.rise), along: rotate(turn, motion.along) };
    case 'circle':
      return { ...motion, out: rotate(turn, motion.out), axis: rotate(turn, motion.axis) };
    case 'way':
    case 'poses':
      return { ...motion, turn, at };
    default:
      return {
        ...motion,
        pivot: add(rotate(turn, motion.pivot), at),
        axis: rotate(turn, motion.axis),
      };
  }
}

/** Seconds after which a motion begins anew; of one that is done once, when it is done. */
export const periodOf = (motion: Motion): number =>
  motion.kind === 'hop' ? 2 * motion.period : motion.period;

/** Seconds after which some motions all stand as they began, or the most that is of use when that is sooner; 0 of none. */
export const commonPeriod = (motions: readonly Motion[], most: number): number =>
  commonSeconds(motions.map(periodOf), most);

/** Seconds after which all of some periods, s, are over at once, or the most that is of use when that is sooner; 0 of none. */
export function commonSeconds(periods: readonly number[], most: number): number {
  // In hundredths of a second.
  let common = 1;
  for (const seconds of periods) {
    const period = Math.max(1, Math.round(seconds * 100));
    common = (common / commonDivisor(common, period)) * period;
    if (common > most * 100) return most;
  }
  return periods.length > 0 ? common / 100 : 0;
}

const commonDivisor = (a: number, b: number): number => (b === 0 ? a : commonDivisor(b, a % b));

/** Places over a period that are looked at for the box about a motion. */
const SAMPLES = 48;
/** The same of each leg between two poses. */
const LEG_SAMPLES = 24;

/** Poses all over a motion's period, for what it may reach. */
export function samplePoses(motion: Motion): Pose[] {
  if (motion.kind === 'slide') return [STILL, shifted(motion.travel)];
  if (motion.kind === 'way') {
    return motion.legs.flatMap(({ points }) => points.map((p) => shifted(rotate(motion.turn, p))));
  }
  if (motion.kind === 'poses') {
    // Leg by leg: a short one would be missed at even times.
    return keyTimes(motion, LEG_SAMPLES).map((seconds) =>
      poseInWorld(sampleKeyframes({ ...motion, phase: 0 }, seconds), motion.turn, motion.at),
    );
  }
  const ticks = periodOf(motion) * TICKS_PER_SECOND;
  return [
    STILL,
    ...Array.from({ length: SAMPLES }, (_, i) => poseAt(motion, (ticks * i) / SAMPLES)),
  ];
}

/** The greatest speed in m/s that a point has which rests at `p`; of ways and poses as measured over them. */
export function topSpeed(motion: Motion, p: Vec3): number {
  switch (motion.kind) {
    case 'slide': {
      const pace = (2 * length(motion.travel)) / motion.period;
      return motion.ease === 'even' ? pace : 1.5 * pace;
    }
    case 'hop':
      return length([4 * length(motion.rise), length(motion.along), 0]) / motion.period;
    case 'circle':
      return (2 * Math.PI * length(motion.out) * Math.abs(motion.turns)) / motion.period;
    case 'spin':
      return (2 * Math.PI * Math.abs(motion.turns) * fromAxis(motion, p)) / motion.period;
    case 'swing': {
      const radians = (motion.angle * Math.PI) / 180;
      const rate = (motion.ease === 'even' ? 4 : 2 * Math.PI) / motion.period;
      return radians * rate * fromAxis(motion, p);
    }
    case 'way':
      // All of it goes as fast.
      return measured(motion, ORIGIN);
    case 'poses':
      return measured(motion, p);
  }
}

const ORIGIN: Vec3 = [0, 0, 0];

/** Metres from a point to a turning motion's axis. */
const fromAxis = ({ pivot, axis }: Swing | Spin, p: Vec3): number => {
  const d = sub(p, pivot);
  const along = dot(d, axis);
  return Math.sqrt(Math.max(0, dot(d, d) - along * along));
};

/** Most ticks of a period that are looked at for its speed. */
const MOST_TICKS = 1000;

function measured(motion: Motion, p: Vec3): number {
  const ticks = Math.ceil(periodOf(motion) * TICKS_PER_SECOND);
  const step = Math.max(1, Math.floor(ticks / MOST_TICKS));
  let most = 0;
  let last = applyPose(poseAt(motion, 0), p);
  for (let tick = 0; tick < ticks; tick += step) {
    const from = step === 1 || tick === 0 ? last : applyPose(poseAt(motion, tick), p);
    last = applyPose(poseAt(motion, tick + 1), p);
    most = Math.max(most, distance(from, last));
  }
  return most * TICKS_PER_SECOND;
}
