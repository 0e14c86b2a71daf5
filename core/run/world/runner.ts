import type { RunnerKind, RunnerSettings } from '../../course';
import { cosDeg } from '../../geometry';
import { TICKS_PER_SECOND } from '../../motion';

/** Seconds a tick. */
export const DT = 1 / TICKS_PER_SECOND;

interface Kind<K extends RunnerKind> {
  readonly kind: K;
  /** Radius of its body and half the length of its inner segment, m. */
  readonly body: { readonly radius: number; readonly half: number };
  /** Greatest speed of its own, m/s. */
  readonly topSpeed: number;
  /** What loose pieces feel of it, kg. */
  readonly mass: number;
  /** Greatest falling speed, m/s. */
  readonly fallSpeed: number;
  /** Ticks after a return to a checkpoint in which inputs are ignored. */
  readonly restTicks: number;
}

/** A pebble on two legs: runs, jumps and steps up. */
export interface Hopper extends Kind<'hopper'> {
  /** Change of speed on the ground and in the air, m/s². */
  readonly acceleration: number;
  readonly airAcceleration: number;
  /** Height a fully held jump reaches, m; from it and gravity comes the speed of the take-off. */
  readonly jumpHeight: number;
  /** What is left of the upward speed when the jump is let go while rising, 0 to 1. */
  readonly jumpCut: number;
  /** Greatest rise that is stepped up without a jump, m. */
  readonly stepHeight: number;
  /** Least upward part of a normal that can be stood on: the cosine of the slope limit. */
  readonly walkable: number;
  /** Ticks after running off an edge in which a jump still counts (coyote time). */
  readonly coyoteTicks: number;
  /** Ticks before landing in which a jump is kept for the landing (jump buffer). */
  readonly bufferTicks: number;
  readonly autorun: boolean;
  readonly wallHold: boolean;
  readonly wallJump: boolean;
  readonly doubleJump: boolean;
}

/** A round stone that is pushed along and rolls. */
export interface Roller extends Kind<'roller'> {
  /** Change of speed of a full push, on the ground and in the air, m/s². */
  readonly acceleration: number;
  readonly airAcceleration: number;
  /** Greatest hold, as a part of what presses it down: more slope than that and it slips. */
  readonly grip: number;
  /** What is left of the speed of an impact. */
  readonly bounce: number;
  /** Part of what presses it down that rolling costs. */
  readonly rolling: number;
}

/** A barrow on wheels. */
export interface Cart extends Kind<'cart'> {
  readonly acceleration: number;
  readonly brake: number;
  /** Sideways hold, as a part of what presses it down. */
  readonly grip: number;
  /** Radius of its circle at full lock, m. */
  readonly turnRadius: number;
  /** Part of the steering that is left in the air. */
  readonly air: number;
  readonly bounce: number;
}

/** A puck that is struck and slides. */
export interface Flick extends Kind<'flick'> {
  /** Speed of the hardest stroke, m/s. */
  readonly strength: number;
  /** Friction as a part of what presses it down. */
  readonly friction: number;
  readonly bounce: number;
}

export type Runner = Hopper | Roller | Cart | Flick;

/** Seconds from standing to full speed. */
export const SECONDS_TO_TOP_SPEED = 0.25;
export const STEP_HEIGHT = 0.3;
/** Steepest ground that can be stood and run on, degrees. */
export const SLOPE_LIMIT = 50;

/** What each runner is when the maker says nothing. */
export const RUNNER_DEFAULTS = {
  hopper: { topSpeed: 6, jumpHeight: 1.6, mass: 60 },
  roller: { topSpeed: 12, acceleration: 7, grip: 0.9, bounce: 0.3, friction: 0.015, mass: 300 },
  cart: { topSpeed: 14, acceleration: 7, brake: 14, grip: 1.4, turnRadius: 4, air: 0.4, mass: 200 },
  flick: { strength: 14, friction: 0.18, bounce: 0.6, mass: 40 },
} as const satisfies Record<RunnerKind, RunnerSettings>;

/** Named settings to begin from; the first of each is as usual. */
export const RUNNER_PRESETS: Readonly<
  Record<RunnerKind, readonly { readonly label: string; readonly settings: RunnerSettings }[]>
> = {
  hopper: [
    { label: 'Steady', settings: {} },
    { label: 'Quick', settings: { topSpeed: 9, jumpHeight: 1.8 } },
    { label: 'Floating', settings: { topSpeed: 5, jumpHeight: 3.2, doubleJump: true } },
  ],
  roller: [
    { label: 'Cobble', settings: {} },
    { label: 'Cork', settings: { acceleration: 10, bounce: 0.65, topSpeed: 10 } },
    { label: 'Millstone', settings: { acceleration: 4, bounce: 0.05, topSpeed: 16 } },
  ],
  cart: [
    { label: 'Barrow', settings: {} },
    { label: 'Sledge', settings: { grip: 0.55, topSpeed: 16, turnRadius: 5 } },
    { label: 'Tub', settings: { grip: 2.2, topSpeed: 10, acceleration: 5, turnRadius: 2.5 } },
  ],
  flick: [
    { label: 'Puck', settings: {} },
    { label: 'Ice stone', settings: { friction: 0.05, strength: 10 } },
    { label: 'Rubber', settings: { friction: 0.3, bounce: 0.85, strength: 18 } },
  ],
};

const BALL = { radius: 0.35, half: 0 };

/** The runner of a course, from the settings it gives and the defaults for the rest. */
export function runnerOf({
  kind,
  settings = {},
}: {
  readonly kind: RunnerKind;
  readonly settings?: RunnerSettings;
}): Runner {
  const shared = { fallSpeed: 40, restTicks: 30 };
  switch (kind) {
    case 'hopper':
      return hopperOf(settings);
    case 'roller': {
      const told = { ...RUNNER_DEFAULTS.roller, ...settings };
      const { topSpeed, acceleration, grip, bounce, friction, mass } = told;
      const airAcceleration = acceleration * 0.25;
      const own = {
        topSpeed,
        acceleration,
        airAcceleration,
        grip,
        bounce,
        mass,
        rolling: friction,
      };
      return { kind, body: BALL, ...shared, ...own };
    }
    case 'cart': {
      const told = { ...RUNNER_DEFAULTS.cart, ...settings };
      const { topSpeed, acceleration, brake, grip, turnRadius, air, mass } = told;
      const own = { topSpeed, acceleration, brake, grip, turnRadius, air, mass, bounce: 0.15 };
      return { kind, body: { radius: 0.4, half: 0 }, ...shared, ...own };
    }
    case 'flick': {
      const { strength, friction, bounce, mass } = { ...RUNNER_DEFAULTS.flick, ...settings };
      const own = { strength, friction, bounce, mass, topSpeed: strength };
      return { kind, body: { radius: 0.28, half: 0 }, ...shared, ...own };
    }
  }
}

/** The hopper with the settings given. Its body is an upright capsule 0.9 m high. */
export function hopperOf(settings: RunnerSettings = {}): Hopper {
  const { topSpeed, jumpHeight, mass } = { ...RUNNER_DEFAULTS.hopper, ...settings };
  const acceleration = settings.acceleration ?? topSpeed / SECONDS_TO_TOP_SPEED;
  return {
    kind: 'hopper',
    body: { radius: 0.25, half: 0.2 },
    topSpeed,
    acceleration,
    airAcceleration: acceleration * 0.6,
    jumpHeight,
    mass,
    jumpCut: 0.45,
    fallSpeed: 40,
    stepHeight: STEP_HEIGHT,
    walkable: cosDeg(SLOPE_LIMIT),
    coyoteTicks: 12,
    bufferTicks: 12,
    restTicks: 30,
    autorun: settings.autorun === true,
    wallHold: settings.wallHold === true,
    wallJump: settings.wallJump === true,
    doubleJump: settings.doubleJump === true,
  };
}
