import type { World } from './world';

/** What a tick is told: the pad in whole steps from -16 to 16 along x and z, and the jump button. */
export interface Input {
  readonly x: number;
  readonly z: number;
  readonly jump: boolean;
}

export const NO_INPUT: Input = { x: 0, z: 0, jump: false };
export const FULL_PAD = 16;

/** A pad push of -1 to 1 as the whole steps that runs are made of. */
export const padSteps = (push: number): number =>
  Math.round(Math.min(1, Math.max(-1, push)) * FULL_PAD);

/** All that changes while a run goes on. Numbers only, so that keeping a state is a copy. */
export interface RunState {
  /** Ticks since the run began. */
  tick: number;
  /** The foot, m. */
  x: number;
  y: number;
  z: number;
  /** Speed in m/s; on a mover, relative to it. */
  vx: number;
  vy: number;
  vz: number;
  /** Where the runner looks, degrees about y; 0 is along x. */
  heading: number;
  /** The collider stood on, or -1 in the air. */
  ground: number;
  /** Normal of what is stood on. */
  gx: number;
  gy: number;
  gz: number;
  /** Height of the last ground that could be stood on: what steps are measured from. */
  baseY: number;
  /** Ticks in which a jump still counts after leaving the ground. */
  coyote: number;
  /** Ticks for which an early jump is still kept. */
  buffer: number;
  jumpHeld: boolean;
  /** Whether a jump is rising and can be cut short. */
  rising: boolean;
  /** Place in World.checkpoints of the last one reached, or -1. */
  checkpoint: number;
  /** One for each of World.pickups: 1 when gathered. */
  gathered: Uint8Array;
  gatheredCount: number;
  /** Ticks for which inputs are still ignored. */
  rest: number;
  falls: number;
  /** Jumps made: the strokes of a course that counts them. */
  jumps: number;
  /** Worth of what was gathered. */
  worth: number;
  /** Times round that are done. */
  lap: number;
  /** Ticks spent within the goal. */
  held: number;
  /** For each of World.locks the tick that set it off, or until which it is open; -1 for never. */
  locks: Int32Array;
  /** The portal come out of last that was not left yet, as a piece, or -1; and when it was last met. */
  portal: number;
  portalTick: number;
  /** Tick at which the shut goal was last touched. */
  shutTick: number;
  /** Seconds from start to goal, or -1 while running. */
  finish: number;
}

/** Clearance kept from every surface, m. */
export const SKIN = 1e-3;

/** A fresh state, standing at the world's start. */
export function startState(world: World): RunState {
  const spot = world.start;
  return {
    tick: 0,
    x: spot.at[0],
    y: spot.at[1] + SKIN,
    z: world.lane ?? spot.at[2],
    vx: 0,
    vy: 0,
    vz: 0,
    heading: spot.heading,
    ground: -1,
    gx: 0,
    gy: 1,
    gz: 0,
    baseY: spot.at[1],
    coyote: 0,
    buffer: 0,
    jumpHeld: false,
    rising: false,
    checkpoint: -1,
    gathered: new Uint8Array(world.pickups.length),
    gatheredCount: 0,
    rest: 0,
    falls: 0,
    jumps: 0,
    worth: 0,
    lap: 0,
    held: 0,
    locks: new Int32Array(world.locks.length).fill(-1),
    portal: -1,
    portalTick: -1,
    shutTick: -1e9,
    finish: -1,
  };
}

export const cloneState = (state: RunState): RunState => ({
  ...state,
  gathered: state.gathered.slice(),
  locks: state.locks.slice(),
});
