import { endsOf, joinTo, layPieces, type PieceInHand } from '../edit';
import { emptyCourse, type Course, type RunnerKind, type RunnerSettings } from '../course';
import { dot, normalize, sub, type Vec3 } from '../geometry';
import { BED } from '../pieces';
import { signedDistance } from './contact';
import { NO_INPUT, type RunState } from './state';
import { Trial } from './testing';

// A rail for tests: it turns a runner's speed to follow a line over the ground and never changes how fast it is, so
// that all that is gained and lost is the ground's doing.

/** Where the line leads at a place: the way ahead, and how far the place lies to the right of the line, m. */
export type Line = (x: number, y: number, z: number) => { ahead: Vec3; right: number };

/** How quickly a runner is brought back to its line, 1/m. */
const BACK = 0.4;

/** Has a runner go along a line at the speed it has, along the ground it is on. */
export function steer(s: RunState, line: Line): void {
  const { ahead, right } = line(s.x, s.y, s.z);
  const up: Vec3 = [s.gx, s.gy, s.gz];
  const along = (v: Vec3): Vec3 => {
    const into = dot(v, up);
    return normalize([v[0] - into * up[0], v[1] - into * up[1], v[2] - into * up[2]]);
  };
  const f = along(ahead);
  const side: Vec3 = [
    f[1] * up[2] - f[2] * up[1],
    f[2] * up[0] - f[0] * up[2],
    f[0] * up[1] - f[1] * up[0],
  ];
  const k = -Math.max(-0.4, Math.min(0.4, BACK * right));
  const to = normalize([f[0] + k * side[0], f[1] + k * side[1], f[2] + k * side[2]]);
  const v: Vec3 = [s.vx, s.vy, s.vz];
  const into = dot(v, up);
  const pace = Math.hypot(...sub(v, [into * up[0], into * up[1], into * up[2]]));
  s.vx = to[0] * pace + into * up[0];
  s.vy = to[1] * pace + into * up[1];
  s.vz = to[2] * pace + into * up[2];
  s.fx = to[0];
  s.fy = to[1];
  s.fz = to[2];
}

/** Without friction, and with as much hold as there can be. */
const FREE: Partial<Record<RunnerKind, RunnerSettings>> = {
  roller: { friction: 0, grip: 5, bounce: 0, topSpeed: 40 },
  cart: { grip: 5, topSpeed: 40 },
};
/** What a cart loses to its own wheels, m/s². */
const ROLLING = 0.35;

/**
 * A straight, a piece joined to it at the origin and another straight, as wide as the piece.
 * @param slope of both straights, as a part of their length
 */
export function trackOf(kind: RunnerKind, piece: PieceInHand, slope = 0): Course {
  const width = piece.params?.width ?? 3;
  const straight = (length: number): PieceInHand => ({
    family: 'straight',
    at: [-10, -10 * slope, 0],
    params: { length, width, rise: length * slope },
  });
  const lead = straight(10);
  const middle = joinTo(piece, 0, endsOf({ ...lead, id: 'x' })[1]);
  const out = endsOf({ ...middle, id: 'x' })[1];
  return layPieces(
    { ...emptyCourse('Track', 'free'), runner: { kind, settings: FREE[kind] }, tide: -200 },
    [{ family: 'start', at: [-8, BED - 8 * slope, 0] }, lead, middle, joinTo(straight(14), 0, out)],
  );
}

/** What a ride along a line came to. */
export interface Ride {
  readonly state: RunState;
  /** Ticks on the way in which it was in the air, and all of them. */
  readonly air: number;
  readonly ticks: number;
  /** The deepest it ever stood in anything, m, below 0. */
  readonly deepest: number;
  /** The most it ever gained or lost against what it had, as a part of that, at rest with the ground. */
  readonly drift: number;
  /** The same at the end. */
  readonly left: number;
  /** The farthest it was beside its line, m. */
  readonly off: number;
}

/** Rides along a line at a speed until it is done. */
export function ride(
  course: Course,
  line: Line,
  speed: number,
  isDone: (s: RunState) => boolean,
): Ride {
  const trial = new Trial(course).go(NO_INPUT, 8);
  const { state: s, world } = trial;
  const body = world.bodies[0];
  // Along the ground it is on.
  const along = Math.hypot(s.gx, s.gy);
  s.vx = (speed * s.gy) / along;
  s.vy = (-speed * s.gx) / along;
  // A sphere that rolls has two fifths more than its speed says, and gains five sevenths of a pull.
  const k = world.runner.kind === 'roller' ? 5 / 7 : 1;
  const height = () => s.y + body.radius;
  let gone = 0;
  const energy = () =>
    0.5 * (s.vx * s.vx + s.vy * s.vy + s.vz * s.vz) +
    k * world.gravity * height() +
    (world.runner.kind === 'cart' ? ROLLING * gone : 0);
  const whole = energy();
  let [air, ticks, deepest, drift, off] = [0, 0, Infinity, 0, 0];
  while (ticks < 2400 && !isDone(s)) {
    steer(s, line);
    off = Math.max(off, Math.abs(line(s.x, s.y, s.z).right));
    const [x, y, z] = [s.x, s.y, s.z];
    trial.go(NO_INPUT, 1);
    gone += Math.hypot(s.x - x, s.y - y, s.z - z);
    ticks++;
    if (s.ground < 0) air++;
    drift = Math.max(drift, Math.abs(energy() - whole) / (0.5 * speed * speed));
    for (const c of world.broadPhase.query({
      ...{ x0: s.x - 1, y0: s.y - 1, z0: s.z - 1, x1: s.x + 1, y1: s.y + 2, z1: s.z + 1 },
    }).solids.list) {
      deepest = Math.min(deepest, signedDistance(world, s, body, c, s).distance);
    }
  }
  const left = (energy() - whole) / (0.5 * speed * speed);
  return { state: s, air, ticks, deepest, drift, left, off };
}

/**
 * The line along the middle of a bend to the left that begins at the origin along x.
 * @param inward how far a ball's middle lies to the inside of the bed's at a part of the bend, as banks have it, m
 */
export const bendLine =
  (radius: number, turn: number, inward = (_: number) => 0): Line =>
  (x, _, z) => {
    const a = (turn * Math.PI) / 180;
    const angle = Math.atan2(x, radius + z);
    if (x < 0 && z > -radius) return { ahead: [1, 0, 0], right: z };
    if (angle >= 0 && angle < a) {
      return {
        ahead: [Math.cos(angle), 0, -Math.sin(angle)],
        right: Math.hypot(x, radius + z) - radius + inward(angle / a),
      };
    }
    const [ex, ez] = [radius * Math.sin(a), -radius * (1 - Math.cos(a))];
    const ahead: Vec3 = [Math.cos(a), 0, -Math.sin(a)];
    return { ahead, right: (x - ex) * Math.sin(a) + (z - ez) * Math.cos(a) };
  };

/** The line straight along x. */
export const STRAIGHT: Line = (_x, _y, z) => ({ ahead: [1, 0, 0], right: z });

/** The line once round a loop that begins at the origin along x and leads aside; to be made anew for each ride. */
export function loopLine(radius: number, aside: number): Line {
  const lead = 2;
  let [round, last] = [0, 0];
  return (x, y, z) => {
    // How far round, as seen from the middle of the loop; a place on the way there or away is at its foot.
    const angle = Math.atan2(x - lead, radius + BED - y);
    const turned = ((angle - last + 3 * Math.PI) % (2 * Math.PI)) - Math.PI;
    if (x > lead || round > 0.2) round = Math.max(0, Math.min(2 * Math.PI, round + turned));
    last = angle;
    const k = round / (2 * Math.PI);
    const shift = (p: number) => aside * p * p * (3 - 2 * p);
    const [n, c] = [Math.sin(round), Math.cos(round)];
    const slope = k > 0 && k < 1 ? (aside * 6 * k * (1 - k)) / (2 * Math.PI * radius) : 0;
    return { ahead: [c, n, slope], right: z - shift(k) };
  };
}
