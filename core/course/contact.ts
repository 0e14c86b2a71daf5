import * as v from 'valibot';
import { angle, between, coordinate, count, extent, oneOf, on, pause, triple } from './values';

// What of a piece touches, and what touching it does.

/** How much larger than drawn a shape is on every side, below 0 smaller: centimetres or percent. */
export const AllowanceSchema = v.looseObject({
  by: oneOf(['cm', 'percent'], 'measure'),
  value: between(-90, 100),
});

const profilePoint = v.strictTuple([coordinate, coordinate], 'is not a list of two numbers');
/** A part's own allowance goes before that of its piece, family or role. */
const own = { allowance: v.optional(AllowanceSchema) };
const part = {
  ...own,
  /** Depth of an outline, m, and how far its middle is across from the piece's. */
  depth: v.optional(extent),
  across: v.optional(coordinate),
};
export const ShapePartSchema = v.variant(
  'kind',
  [
    v.looseObject({
      kind: v.literal('ball'),
      at: triple(coordinate),
      radius: between(0.02, 100),
      ...own,
    }),
    v.looseObject({
      kind: v.literal('box'),
      at: triple(coordinate),
      size: triple(extent),
      /** Degrees about the axis across. */
      turn: v.optional(angle),
      ...own,
    }),
    v.looseObject({
      kind: v.literal('capsule'),
      from: profilePoint,
      to: profilePoint,
      radius: between(0.02, 100),
      ...part,
    }),
    v.looseObject({
      kind: v.literal('outline'),
      points: v.pipe(
        v.array(profilePoint, 'is not a list'),
        v.minLength(3, 'has fewer than three points'),
        v.maxLength(60, 'has more than 60 points'),
      ),
      ...part,
    }),
  ],
  'is no known shape',
);
/** A drawn collision shape, on the profile (x, y) of a piece of a size; it stretches with the piece. */
export const ShapeSchema = v.looseObject({
  size: triple(extent),
  parts: v.pipe(
    v.array(ShapePartSchema, 'is not a list'),
    v.minLength(1, 'has no part'),
    v.maxLength(40, 'has more than 40 parts'),
  ),
});

export const ROLES = [
  'solid',
  'hazard',
  'pickup',
  'scenery',
  'checkpoint',
  'goal',
  'region',
] as const;
/** What being hurt does: back to the last checkpoint, thrown off, or slowed for a moment. */
export const HURTS = ['back', 'push', 'slow'] as const;

export const contactFields = {
  /** What it is to the runner, where that is not as its family says. */
  role: v.optional(oneOf(ROLES, 'role')),
  /** Of a piece given the role of a checkpoint or goal: its number, its leg, and what a return restores. */
  mark: v.optional(
    v.looseObject({
      number: v.optional(count(1, 99)),
      leg: v.optional(count(1, 18)),
      resets: v.optional(on),
    }),
  ),
  hurt: v.optional(
    v.looseObject({
      does: oneOf(HURTS, 'effect'),
      /** Speed it throws off at, m/s; or seconds it slows for. */
      force: v.optional(between(0.1, 60)),
    }),
  ),
  worth: v.optional(count(0, 1000)),
  /** Seconds after which a pickup is there again. */
  respawn: v.optional(pause),
  /** Breaks after so many touches, or when met at so much speed, m/s. */
  breaks: v.optional(
    v.looseObject({
      touches: v.optional(count(1, 100)),
      speed: v.optional(between(0.1, 60)),
    }),
  ),
  /** The surface of its solids: the part of a speed that is given back, and a part of the usual grip. */
  surface: v.optional(
    v.looseObject({
      bounce: v.optional(between(0, 0.95)),
      grip: v.optional(between(0, 5)),
    }),
  ),
  /** Passed from all sides but one: the open side in degrees about the axis across, 0 being up. */
  oneWay: v.optional(
    v.looseObject({
      side: angle,
      /** Whether the runner may drop through it. */
      drop: v.optional(on),
    }),
  ),
  shape: v.optional(ShapeSchema),
  allowance: v.optional(AllowanceSchema),
  /** Not there until a link shows it. */
  absent: v.optional(on),
  /** Falls, stacks and is pushed, with the weight of what it is made of. */
  loose: v.optional(on),
};

export type ShapePart = v.InferOutput<typeof ShapePartSchema>;
export type DrawnShape = v.InferOutput<typeof ShapeSchema>;
export type Allowance = v.InferOutput<typeof AllowanceSchema>;
export type PieceRole = (typeof ROLES)[number];
export type HurtKind = (typeof HURTS)[number];
