import type { HopperSettings } from '../course';
import { cosDeg } from '../geometry';
import { TICKS_PER_SECOND } from '../motion';

/** Seconds a tick. */
export const DT = 1 / TICKS_PER_SECOND;

/** Radius of the hopper's body, an upright capsule, m. */
export const HOPPER_RADIUS = 0.25;
/** Height of its body from the foot to the crown, m. */
export const HOPPER_HEIGHT = 0.9;
/** Half the length of the capsule's inner segment, m. */
export const HOPPER_HALF = HOPPER_HEIGHT / 2 - HOPPER_RADIUS;
/** From the foot to the middle of the body, m. */
export const HOPPER_LIFT = HOPPER_HEIGHT / 2;

/** What moves the hopper, in physical units. */
export interface Hopper {
  /** Greatest speed on level ground, m/s. */
  readonly topSpeed: number;
  /** Change of speed on the ground, m/s²: full speed takes topSpeed / acceleration seconds. */
  readonly acceleration: number;
  /** Change of speed in the air, m/s². */
  readonly airAcceleration: number;
  /** Height a fully held jump reaches, m. */
  readonly jumpHeight: number;
  /** Downward acceleration, m/s². */
  readonly gravity: number;
  /** Upward speed at take-off, m/s: the root of 2 · gravity · jumpHeight. */
  readonly jumpSpeed: number;
  /** What is left of the upward speed when the jump is let go while rising, 0 to 1. */
  readonly jumpCut: number;
  /** Greatest falling speed, m/s. */
  readonly fallSpeed: number;
  /** Greatest rise that is stepped up without a jump, m. */
  readonly stepHeight: number;
  /** Least upward part of a normal that can be stood on: the cosine of the slope limit. */
  readonly walkable: number;
  /** Ticks after running off an edge in which a jump still counts (coyote time). */
  readonly coyoteTicks: number;
  /** Ticks before landing in which a jump is kept for the landing (jump buffer). */
  readonly bufferTicks: number;
  /** Ticks after a return to a checkpoint in which inputs are ignored. */
  readonly restTicks: number;
}

export const HOPPER_DEFAULTS = { topSpeed: 6, jumpHeight: 1.6, gravity: 22 } as const;
/** Seconds from standing to full speed. */
export const SECONDS_TO_TOP_SPEED = 0.25;
export const STEP_HEIGHT = 0.3;
/** Steepest ground that can be stood and run on, degrees. */
export const SLOPE_LIMIT = 50;

/** The hopper of a course, from the settings it gives and the defaults for the rest. */
export function hopperOf(settings: HopperSettings = {}): Hopper {
  const topSpeed = settings.topSpeed ?? HOPPER_DEFAULTS.topSpeed;
  const jumpHeight = settings.jumpHeight ?? HOPPER_DEFAULTS.jumpHeight;
  const gravity = settings.gravity ?? HOPPER_DEFAULTS.gravity;
  const acceleration = topSpeed / SECONDS_TO_TOP_SPEED;
  return {
    topSpeed,
    acceleration,
    airAcceleration: acceleration * 0.6,
    jumpHeight,
    gravity,
    jumpSpeed: Math.sqrt(2 * gravity * jumpHeight),
    jumpCut: 0.45,
    fallSpeed: 40,
    stepHeight: STEP_HEIGHT,
    walkable: cosDeg(SLOPE_LIMIT),
    coyoteTicks: 12,
    bufferTicks: 12,
    restTicks: 30,
  };
}
