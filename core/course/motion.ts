import * as v from 'valibot';
import { angle, between, coordinate, finite, identifier, on, oneOf, pause, triple } from './values';

// How a piece moves by itself, in its own frame: places are metres off where it stands.

export const EASES = ['smooth', 'even'] as const;
export const AXES = ['x', 'y', 'z'] as const;
/** What follows the end of a way: back again, on from the start, or nothing. */
export const AFTERS = ['back', 'round', 'once'] as const;

const ease = v.optional(oneOf(EASES, 'ease'));
const period = v.pipe(
  finite,
  v.minValue(0.1, 'is shorter than 0.1 s'),
  v.maxValue(600, 'is longer than ten minutes'),
);
const timed = {
  /** Seconds for the whole of it, or beats where `beats` says so. */
  period,
  /** The part already gone by when it begins, 0 to 1. */
  phase: v.optional(between(0, 1)),
  beats: v.optional(on),
};
const after = v.optional(oneOf(AFTERS, 'way on'));
const offset = triple(coordinate);

export const PathMotionSchema = v.looseObject({
  kind: v.literal('path'),
  /** Points after the piece's own place, which is the first. */
  points: v.pipe(
    v.array(offset, 'is not a list'),
    v.minLength(1, 'has no point to go to'),
    v.maxLength(100, 'has more than 100 points'),
  ),
  smooth: v.optional(on),
  /** Points at which a smooth path turns sharply all the same; the piece's own place is 0. */
  corners: v.optional(
    v.pipe(
      v.array(v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(100))),
      v.maxLength(101),
    ),
  ),
  /** Metres a second; or seconds for each leg. */
  speed: v.optional(between(0.05, 60)),
  times: v.optional(v.pipe(v.array(between(0.05, 600)), v.maxLength(101))),
  /** Seconds waited at each point, the first one's first. */
  waits: v.optional(v.pipe(v.array(pause), v.maxLength(101))),
  after,
  ease,
  phase: v.optional(between(0, 1)),
});

export const PosesMotionSchema = v.looseObject({
  kind: v.literal('poses'),
  poses: v.pipe(
    v.array(
      v.looseObject({
        at: offset,
        turn: v.optional(triple(angle)),
        /** Times its own size. */
        scale: v.optional(between(0.05, 20)),
        /** Seconds from the pose before, and seconds it stays. */
        time: between(0.05, 600),
        wait: v.optional(pause),
        ease,
      }),
    ),
    v.minLength(1, 'has no pose'),
    v.maxLength(50, 'has more than 50 poses'),
  ),
  after,
  phase: v.optional(between(0, 1)),
});

const axis = oneOf(AXES, 'axis');
const pivot = v.optional(offset);

export const MotionSchema = v.variant(
  'kind',
  [
    PathMotionSchema,
    PosesMotionSchema,
    v.looseObject({
      kind: v.literal('swing'),
      axis,
      angle: between(0, 180),
      pivot,
      ease,
      ...timed,
    }),
    v.looseObject({ kind: v.literal('spin'), axis, reverse: v.optional(on), pivot, ...timed }),
    v.looseObject({
      kind: v.literal('circle'),
      axis,
      radius: between(0.05, 200),
      reverse: v.optional(on),
      ...timed,
    }),
    v.looseObject({
      kind: v.literal('hop'),
      height: between(0.05, 50),
      along: v.optional(coordinate),
      ...timed,
    }),
    v.looseObject({ kind: v.literal('bob'), height: between(0.01, 50), ...timed }),
    v.looseObject({
      kind: v.literal('drift'),
      /** Metres a second along each axis, and how far the run's seed may take it from that. */
      velocity: offset,
      spread: v.optional(offset),
    }),
    v.looseObject({
      kind: v.literal('chase'),
      range: between(0.5, 500),
      speed: between(0.1, 40),
      /** Whether it goes home when the runner is out of range. */
      home: v.optional(on),
    }),
    v.looseObject({
      kind: v.literal('arrive'),
      /** Slides from here into its place, turned by so much, as the runner comes within the distance. */
      from: offset,
      turn: v.optional(triple(angle)),
      distance: between(0.5, 500),
    }),
  ],
  'is no known motion',
);

/** When a piece's motion begins, and when it sleeps again. */
export const WakeSchema = v.looseObject({
  by: oneOf(['near', 'touch'], 'cue'),
  range: v.optional(between(0.1, 1000)),
  /** Sleeps again when the runner is farther than this, m. */
  sleep: v.optional(between(0.1, 2000)),
});

/** Sends out copies of a family, from where the piece stands along its own x. */
export const ThrowerSchema = v.looseObject({
  what: identifier,
  /** Greatest extent of a copy, m. */
  size: between(0.1, 10),
  /** Seconds between two, or beats. */
  interval: between(0.1, 600),
  beats: v.optional(on),
  phase: v.optional(between(0, 1)),
  speed: between(0, 60),
  /** Degrees up, and by how much the run's seed may turn each throw. */
  rise: v.optional(between(-90, 90)),
  spread: v.optional(between(0, 180)),
  /** The part of the interval by which a throw may come late, and of the speed it may differ by; by chance. */
  late: v.optional(between(0, 1)),
  swerve: v.optional(between(0, 1)),
  /** Seconds a copy lasts, and how many there may be at once. */
  life: between(0.1, 120),
  most: v.optional(v.pipe(between(1, 20), v.integer('is not a whole number'))),
  /** How much of its speed a copy keeps when it bounces. */
  bounce: v.optional(between(0, 0.95)),
  /** What a copy does to the runner. */
  does: v.optional(oneOf(['back', 'push', 'slow'], 'effect')),
});

export type PieceMotion = v.InferOutput<typeof MotionSchema>;
export type PathMotion = v.InferOutput<typeof PathMotionSchema>;
export type PosesMotion = v.InferOutput<typeof PosesMotionSchema>;
export type MotionKind = PieceMotion['kind'];
export type Wake = v.InferOutput<typeof WakeSchema>;
export type Thrower = v.InferOutput<typeof ThrowerSchema>;
export type AxisName = (typeof AXES)[number];
