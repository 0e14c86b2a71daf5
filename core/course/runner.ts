import * as v from 'valibot';
import { between, on, oneOf } from './values';

export const RUNNERS = ['hopper', 'roller', 'cart', 'flick'] as const;

/** Settings of every runner in physical units; each reads its own, and what is left out is usual. */
export const RunnerSettingsSchema = v.looseObject({
  /** Greatest speed of its own, m/s. */
  topSpeed: v.optional(between(1, 40)),
  /** What it weighs against loose pieces, kg. */
  mass: v.optional(between(1, 5000)),
  /** Change of speed, m/s². */
  acceleration: v.optional(between(0.5, 200)),
  /** Height of a fully held jump from level ground, m. */
  jumpHeight: v.optional(between(0.2, 10)),
  /** Hopper: runs by itself; holds on to walls; jumps off them; jumps once more in the air. */
  autorun: v.optional(on),
  wallHold: v.optional(on),
  wallJump: v.optional(on),
  doubleJump: v.optional(on),
  /** Greatest sideways or rolling hold, as a part of what presses it down. */
  grip: v.optional(between(0.01, 5)),
  /** What is left of the speed of an impact. */
  bounce: v.optional(between(0, 0.95)),
  /** Cart: slowing, m/s²; radius of its circle at full lock, m; part of the steering left in the air. */
  brake: v.optional(between(0.5, 100)),
  turnRadius: v.optional(between(0.5, 50)),
  air: v.optional(between(0, 1)),
  /** Flick stone: speed of the hardest stroke, m/s. */
  strength: v.optional(between(1, 40)),
  /** Sliding or rolling friction as a part of what presses it down. */
  friction: v.optional(between(0, 2)),
});

export const RunnerSchema = v.looseObject({
  kind: oneOf(RUNNERS, 'runner'),
  settings: v.optional(RunnerSettingsSchema),
});

export type RunnerKind = (typeof RUNNERS)[number];

/** The differences between kinds of runners that others ask for; a new kind answers each of them. */
interface RunnerTraits {
  /** Stands on feet, steps up and jumps; all others roll or slide. */
  readonly walks: boolean;
  /** Is struck and then let go: its tries are counted in strokes, and nothing steers it. */
  readonly struck: boolean;
  /** Drives towards a front of its own; all others look where they go. */
  readonly hasFront: boolean;
}

export const RUNNER_TRAITS = {
  hopper: { walks: true, struck: false, hasFront: false },
  roller: { walks: false, struck: false, hasFront: false },
  cart: { walks: false, struck: false, hasFront: true },
  flick: { walks: false, struck: true, hasFront: false },
} as const satisfies Record<RunnerKind, RunnerTraits>;
export type RunnerSettings = v.InferOutput<typeof RunnerSettingsSchema>;
