import { cosDeg } from '../../../geometry';
import { RUNNER_TRAITS, type RunnerSettings } from '../../../course';
import { SHARED, type Kind, type RunnerSpec } from './kind';

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

/** Seconds from standing to full speed. */
export const SECONDS_TO_TOP_SPEED = 0.25;
export const STEP_HEIGHT = 0.3;
/** Steepest ground that can be stood and run on, degrees. */
export const SLOPE_LIMIT = 50;

const DEFAULTS = { topSpeed: 6, jumpHeight: 1.6, mass: 60 };

/** The hopper with the settings given. Its body is an upright capsule 0.9 m high. */
export function hopperOf(settings: RunnerSettings = {}): Hopper {
  const { topSpeed, jumpHeight, mass } = { ...DEFAULTS, ...settings };
  const acceleration = settings.acceleration ?? topSpeed / SECONDS_TO_TOP_SPEED;
  return {
    ...SHARED,
    ...RUNNER_TRAITS.hopper,
    kind: 'hopper',
    body: { radius: 0.25, half: 0.2 },
    topSpeed,
    acceleration,
    airAcceleration: acceleration * 0.6,
    jumpHeight,
    mass,
    bounce: 0,
    jumpCut: 0.45,
    stepHeight: STEP_HEIGHT,
    walkable: cosDeg(SLOPE_LIMIT),
    coyoteTicks: 12,
    bufferTicks: 12,
    autorun: settings.autorun === true,
    wallHold: settings.wallHold === true,
    wallJump: settings.wallJump === true,
    doubleJump: settings.doubleJump === true,
  };
}

export const HOPPER = {
  defaults: DEFAULTS,
  presets: [
    { label: 'Steady', settings: {} },
    { label: 'Quick', settings: { topSpeed: 9, jumpHeight: 1.8 } },
    { label: 'Floating', settings: { topSpeed: 5, jumpHeight: 3.2, doubleJump: true } },
  ],
  compile: hopperOf,
  camera: { distance: 13, pitch: 21, pace: 0.8 },
} satisfies RunnerSpec<Hopper>;
