import { TICKS_PER_SECOND } from '../motion';
import type { RunnerKind } from '../course';
import { FULL_PAD, type Input, type Runner, type RunState } from '../run';
import type { Pressed } from './pressed';
import { PUT } from './trace';

/** A way to keep to: where to be at each tick, and what was pressed when it was run. */
export interface SteerLine {
  /** Foot places, x y z for each tick, m. */
  readonly path: ArrayLike<number>;
  /** Where it looked, degrees about y, and how fast it was, m/s. */
  readonly heading: ArrayLike<number>;
  readonly speed: ArrayLike<number>;
  readonly pressed: Pressed;
}

/** How a runner stands, as far as steering asks. */
export type Standing = Pick<RunState, 'x' | 'z' | 'vx' | 'vy' | 'vz' | 'fx' | 'fz' | 'gy'>;

/** Least upward part of the ground's normal on which a cart is steered. */
const UPRIGHT = 0.7;
/** Ticks about the one last found in which a cart looks for its place on the line. */
const [BEHIND, AHEAD] = [2, 6];

/** How far a runner is off its line. */
export interface LineError {
  /** The tick of the line it is at. */
  readonly at: number;
  /** To the line over the map, m, and the line's velocity less its own, m/s. */
  readonly x: number;
  readonly z: number;
  readonly vx: number;
  readonly vz: number;
  /** Of a cart: how far the line is to its right and ahead, m; how far it turns right of it, rad; m/s. */
  readonly aside: number;
  readonly ahead: number;
  readonly turn: number;
  readonly faster: number;
  /** How fast it is, m/s. */
  readonly speed: number;
  /** Whether right and left are what they are on the map. */
  readonly upright: boolean;
}

/** Corrects what was pressed by how far a runner is off its line. */
type Correction = (x: number, z: number, jump: boolean, off: LineError) => Input;

/** How each kind of runner is held to a line; the gains were found by trial, errors in m. */
const CORRECTIONS: { readonly [K in RunnerKind]: (runner: Runner & { kind: K }) => Correction } = {
  hopper: ({ topSpeed }) => {
    // Speeds asked for, 1/s.
    const by = (FULL_PAD / topSpeed) * 2.5;
    return (x, z, jump, off) => ({
      x: corrected(x, by * off.x),
      z: corrected(z, by * off.z),
      jump,
    });
  },
  roller: ({ acceleration }) => {
    // Changes of speed asked for, 1/s² and 1/s.
    const [gain, damping] = [4, 4];
    const by = FULL_PAD / acceleration;
    return (x, z, jump, off) => ({
      x: corrected(x, by * (gain * off.x + damping * off.vx)),
      z: corrected(z, by * (gain * off.z + damping * off.vz)),
      jump,
    });
  },
  cart: ({ turnRadius }) => {
    // Aside 1/s², angle 1/s; along and faster as parts of the pedal for each m and m/s.
    const [aside, angle, along, faster] = [9, 4, 0.15, 0.1];
    return (x, z, jump, off) => {
      // On its side or its head in a loop right and left are not what they are on the map.
      if (!off.upright) return { x, z, jump };
      const fast = Math.max(1, off.speed);
      const lock = (FULL_PAD * turnRadius) / (fast * fast);
      const steer = lock * (aside * off.aside + angle * fast * off.turn);
      const pedal = FULL_PAD * (along * off.ahead + faster * off.faster);
      return { x: corrected(x, steer), z: corrected(z, -pedal), jump };
    };
  },
  flick: () => (x, z, jump) => ({ x, z, jump }),
};

const correctionOf = (runner: Runner): Correction =>
  (CORRECTIONS[runner.kind] as (runner: Runner) => Correction)(runner);

/**
 * Keeps a runner to a line: what was pressed there, and a correction from how far it is off. A hopper and a
 * roller are held to where the line was at the tick, a cart to its place on it, a flick stone to nothing.
 * Without an error what was pressed goes through unchanged.
 */
export class Steerer {
  /** The tick of the line the runner was at last. */
  at: number;
  /** Where it was in the tick before, m; none before the first. */
  private lastX = NaN;
  private lastZ = NaN;

  private readonly correct: Correction;

  constructor(
    private readonly runner: Runner,
    private readonly line: SteerLine,
    tick = 0,
  ) {
    this.at = tick - 1;
    this.correct = correctionOf(runner);
  }

  /** What to press in the tick that comes, by how the runner stands. */
  input(s: Standing, tick: number): Input {
    return this.press(this.errorOf(s, tick));
  }

  /** How far a runner is off the line in a tick of the run. */
  errorOf(s: Standing, tick: number): LineError {
    const { runner, line } = this;
    const last = line.pressed.x.length - 1;
    this.at = runner.hasFront ? this.place(s) : Math.min(last, tick);
    const { at } = this;
    const x = line.path[3 * at] - s.x;
    const z = line.path[3 * at + 2] - s.z;
    // Both over the map, from tick to tick: a runner's own figure is told relative to what carries it.
    const vx = wayIn(this.velocity(at, 0), (s.x - this.lastX) * TICKS_PER_SECOND);
    const vz = wayIn(this.velocity(at, 2), (s.z - this.lastZ) * TICKS_PER_SECOND);
    this.lastX = s.x;
    this.lastZ = s.z;
    const speed = Math.sqrt(s.vx * s.vx + s.vy * s.vy + s.vz * s.vz);
    const a = (line.heading[at] * Math.PI) / 180;
    // Each field by name: one copied in from another object makes all of it slow to read.
    return {
      at,
      x,
      z,
      speed,
      vx,
      vz,
      aside: -x * s.fz + z * s.fx,
      ahead: x * s.fx + z * s.fz,
      turn: -Math.cos(a) * s.fz - Math.sin(a) * s.fx,
      faster: line.speed[at] - speed,
      upright: s.gy > UPRIGHT,
    };
  }

  /** What to press at a place of the line, by how far a runner is off it. */
  press(off: LineError): Input {
    const { at } = off;
    const { x, z, jump } = this.line.pressed;
    return this.correct(x[at], z[at], jump[at] === 1, off);
  }

  /** Velocity along the line in a tick, along an axis, m/s. */
  private velocity(at: number, axis: 0 | 2): number {
    const { path } = this.line;
    if (at === 0) return 0;
    return (path[3 * at + axis] - path[3 * at - 3 + axis]) * TICKS_PER_SECOND;
  }

  /** The line's tick nearest to where the cart is: the next one, unless another about it is nearer. */
  private place({ x, z }: Standing): number {
    const { path, pressed } = this.line;
    const last = pressed.x.length - 1;
    const away = (k: number) => {
      const [dx, dz] = [path[3 * k] - x, path[3 * k + 2] - z];
      return dx * dx + dz * dz;
    };
    let found = Math.min(last, this.at + 1);
    let best = away(found);
    const end = Math.min(last, this.at + 1 + AHEAD);
    for (let k = Math.max(0, this.at + 1 - BEHIND); k <= end; k++) {
      const far = away(k);
      // Who waits is at many ticks at once: the clock tells them apart.
      if (far < best - 1e-9) {
        best = far;
        found = k;
      }
    }
    return found;
  }
}

/** How much faster the line is than the runner, m/s: none where that is not known, or one of them was put elsewhere. */
const wayIn = (line: number, own: number): number =>
  Math.abs(line) < PUT * TICKS_PER_SECOND && Math.abs(own) < PUT * TICKS_PER_SECOND
    ? line - own
    : 0;

/** A pad's step moved by a correction and kept on the pad; a small one moves nothing. */
const corrected = (step: number, by: number): number =>
  Math.min(FULL_PAD, Math.max(-FULL_PAD, step + Math.round(by)));
