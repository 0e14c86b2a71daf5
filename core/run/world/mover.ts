import { BOUNDS, MOST_CARRIED, type Course, type Piece, type Wake } from '../../course';
import {
  add,
  mapVec3,
  type Matrix3,
  matrixOf,
  NO_TURN,
  rotate,
  scale,
  sub,
  type Vec3,
} from '../../geometry';
import {
  composePoses,
  inTempo,
  isDriven,
  placeMotion,
  poseAt,
  poseInWorld,
  poseOf,
  samplePoses,
  STILL,
  parseMotion,
  type Driven,
  type Motion,
  type Pose,
} from '../../motion';
import { localGeometry, mayBeLoose, turnOf } from '../../pieces';

/**
 * What carries a piece, or the moving part of one: motions one within the other, all on one clock, and
 * what carries the mover itself. Its caches hold no decision.
 */
export interface Mover {
  readonly index: number;
  /** Place in World.pieces. */
  readonly piece: number;
  /** In the world, the outermost first: what shifts goes over what turns. */
  readonly motions: readonly Motion[];
  /** The mover that carries this one, or -1. */
  readonly parent: number;
  readonly wake: Wake | null;
  /** What the run itself decides, with the piece's place and turn. */
  readonly driven: Driven | null;
  /** Whether it falls and is pushed, as bodies do. */
  readonly loose: boolean;
  /** Where its numbers begin among those of all that are driven or loose, or -1. */
  readonly drive: number;
  readonly at: Vec3;
  readonly turn: Matrix3;
  pose: Pose;
  before: Pose;
  /** Of what is loose: how far its colliders reach from its foot, and the box about them now, m. */
  reach: number;
  readonly about: Float64Array | null;
  readonly cached: Cached;
}

/** What the kept poses were made from. */
interface Cached {
  now: number;
  last: number;
  over: Pose;
  overBefore: Pose;
  drive: readonly number[];
  /** The numbers of the run that was asked for last. */
  of: Float64Array | null;
}

/** The part of a run's state that says where movers are. */
export interface Clocks {
  readonly tick: number;
  /** The tick from which each has been running, or -1 while it sleeps. */
  readonly moverFrom: Int32Array;
  /** The tick of its own at which each is held, or -1 while it runs. */
  readonly moverAt: Int32Array;
  /** Of each driven mover six numbers, now and at the tick before; of each loose one LOOSE_SIZE. */
  readonly dynamicPoses: Float64Array;
}

/** Numbers kept of a loose mover: its shift and its turn as a quaternion, now and at the tick before. */
export const LOOSE_SIZE = 14;

/** The movers of a course's pieces, and which of them carries a piece and its moving parts. */
export interface Movers {
  readonly list: Mover[];
  /** For each piece the mover of all of it, and that of its moving parts; -1 for none. */
  readonly whole: Int32Array;
  readonly part: Int32Array;
  /** Numbers the driven ones need. */
  readonly drives: number;
}

/** Finds what moves in a course. Pieces are in order of id. */
export function moversOf(course: Course, pieces: readonly Piece[]): Movers {
  const list: Mover[] = [];
  const whole = new Int32Array(pieces.length).fill(-1);
  const part = new Int32Array(pieces.length).fill(-1);
  const byId = new Map(pieces.map(({ id }, i) => [id, i]));
  let drives = 0;
  const depths: number[] = [];
  const open = new Uint8Array(pieces.length);
  const done = new Uint8Array(pieces.length);
  const addMover = (
    piece: number,
    motions: readonly Motion[],
    parent: number,
    driven: Driven | null,
    loose = false,
  ): number => {
    const { at, wake } = pieces[piece];
    const rank = (motion: Motion) =>
      motion.kind === 'swing' || motion.kind === 'spin' || motion.kind === 'poses' ? 1 : 0;
    list.push({
      index: list.length,
      piece,
      motions: [...motions].sort((a, b) => rank(a) - rank(b)),
      parent,
      wake: wake ?? null,
      driven,
      loose,
      drive: driven || loose ? drives : -1,
      at,
      turn: turnOf(pieces[piece]),
      pose: STILL,
      before: STILL,
      reach: 0,
      about: loose ? new Float64Array(6) : null,
      cached: { now: -1, last: -1, over: STILL, overBefore: STILL, drive: [], of: null },
    });
    if (driven) drives += 6;
    if (loose) drives += LOOSE_SIZE;
    depths.push(parent < 0 ? 0 : depths[parent] + 1);
    return list.length - 1;
  };
  const hostOf = (i: number): number => {
    const { attach, loose } = pieces[i];
    const host = attach === undefined || (loose && mayBeLoose(pieces[i])) ? -1 : byId.get(attach);
    return host === undefined || host === i ? -1 : host;
  };
  /** What carries a piece by what it goes along with, or -1: of a ring, and too high up, it stays where it is. */
  const carrierOf = (i: number): number => {
    const host = hostOf(i);
    if (host < 0 || !done[host]) return -1;
    const carrier = part[host] >= 0 ? part[host] : whole[host];
    return carrier >= 0 && depths[carrier] >= MOST_CARRIED ? -1 : carrier;
  };
  const settle = (i: number): void => {
    const piece = pieces[i];
    if (piece.loose && mayBeLoose(piece)) {
      whole[i] = addMover(i, [], -1, null, true);
      return;
    }
    const parent = carrierOf(i);
    const turn = turnOf(piece);
    const told = piece.motion ?? [];
    const driven = told.find(isDriven) ?? null;
    const motions = told.flatMap((motion) =>
      isDriven(motion)
        ? []
        : [placeMotion(inTempo(parseMotion(motion), course.tempo), turn, piece.at)],
    );
    whole[i] = motions.length > 0 || driven ? addMover(i, motions, parent, driven) : parent;
    const own = localGeometry(piece).motion;
    if (own) {
      const motion = placeMotion(inTempo(own, course.tempo), turn, piece.at);
      part[i] = addMover(i, [motion], whole[i], null);
    }
  };
  // Whatever carries a piece is settled before it, however long the row of them is.
  const row: number[] = [];
  for (let i = 0; i < pieces.length; i++) {
    for (let k = i; k >= 0 && !done[k] && !open[k]; k = hostOf(k)) {
      open[k] = 1;
      row.push(k);
    }
    for (let k = row.pop(); k !== undefined; k = row.pop()) {
      settle(k);
      done[k] = 1;
    }
  }
  return { list, whole, part, drives };
}

/** The mover's own tick at a tick of the run. */
export function moverTick(s: Clocks, mover: number, tick: number): number {
  const held = s.moverAt[mover];
  if (held >= 0) return held;
  const from = s.moverFrom[mover];
  return from < 0 || tick <= from ? 0 : tick - from;
}

/** Brings a mover's pose, and the one before it, to the state's tick. */
export function poseMover(list: readonly Mover[], s: Clocks, index: number): Mover {
  const m = list[index];
  if (m.loose) return poseLoose(m, s);
  const cached = m.cached;
  let over = STILL;
  let overBefore = STILL;
  if (m.parent >= 0) {
    const parent = poseMover(list, s, m.parent);
    over = parent.pose;
    overBefore = parent.before;
  }
  const now = moverTick(s, index, s.tick);
  const last = moverTick(s, index, s.tick - 1);
  if (
    cached.now === now &&
    cached.last === last &&
    cached.over === over &&
    cached.overBefore === overBefore &&
    (m.drive < 0 || sameDrive(cached.drive, s.dynamicPoses, m.drive))
  ) {
    return m;
  }
  const goesOn = cached.now === last && cached.over === overBefore && m.drive < 0;
  const before = goesOn ? m.pose : poseThen(m, s, last, overBefore, 3);
  m.pose =
    now === last && over === overBefore && m.drive < 0 ? before : poseThen(m, s, now, over, 0);
  m.before = before;
  cached.now = now;
  cached.last = last;
  cached.over = over;
  cached.overBefore = overBefore;
  if (m.drive >= 0) cached.drive = Array.from(s.dynamicPoses.subarray(m.drive, m.drive + 6));
  return m;
}

const sameDrive = (kept: readonly number[], drives: Float64Array, from: number): boolean =>
  kept.length > 0 && kept.every((v, i) => v === drives[from + i]);

/** A mover's pose at a tick of its own; `back` is 3 for the numbers of the tick before. */
function poseThen(m: Mover, s: Clocks, own: number, over: Pose, back: 0 | 3): Pose {
  let pose = over;
  if (m.driven) pose = composePoses(pose, drivenPose(m, s, own, back));
  for (const motion of m.motions) pose = composePoses(pose, poseAt(motion, own));
  return pose;
}

function drivenPose(m: Mover, s: Clocks, own: number, back: 0 | 3): Pose {
  const i = m.drive + back;
  const [x, y, z] = [s.dynamicPoses[i], s.dynamicPoses[i + 1], s.dynamicPoses[i + 2]];
  const { driven } = m;
  if (driven!.kind === 'drift') {
    // Its speed is drawn once, when the run begins.
    const seconds = own / 120;
    return { turn: NO_TURN, shift: [x * seconds, y * seconds, z * seconds], size: 1 };
  }
  if (driven!.kind === 'chase') return { turn: NO_TURN, shift: [x, y, z], size: 1 };
  const part = 1 - x * x * (3 - 2 * x);
  const arrive = driven as Extract<Driven, { kind: 'arrive' }>;
  const turn = arrive.turn ?? [0, 0, 0];
  return poseInWorld(poseOf(scale(arrive.from, part), scale(turn, part), 1), m.turn, m.at);
}

function poseLoose(m: Mover, { dynamicPoses: drives, tick }: Clocks): Mover {
  const { cached, drive } = m;
  // It is asked for often within a tick, in which it stays where it is.
  if (cached.of === drives && cached.now === tick) return m;
  cached.of = drives;
  cached.now = tick;
  if (sameDrive(cached.drive, drives, drive)) return m;
  cached.drive = Array.from(drives.subarray(drive, drive + LOOSE_SIZE));
  const then = drive + LOOSE_SIZE / 2;
  let rests = true;
  for (let i = drive; rests && i < then; i++) rests = drives[i] === drives[i + LOOSE_SIZE / 2];
  m.pose = loosePose(m, drives, drive);
  m.before = rests ? m.pose : loosePose(m, drives, then);
  for (let axis = 0; axis < 3; axis++) {
    const foot = m.at[axis] + drives[drive + axis];
    m.about![axis] = foot - m.reach;
    m.about![axis + 3] = foot + m.reach;
  }
  return m;
}

/** Has a loose mover's reach take in a box at rest. */
export function reachOut(
  m: Mover,
  box: { readonly low: Vec3; readonly high: Vec3 },
  margin: number,
) {
  let square = 0;
  for (let axis = 0; axis < 3; axis++) {
    const far = Math.max(m.at[axis] - box.low[axis], box.high[axis] - m.at[axis]);
    square += far * far;
  }
  m.reach = Math.max(m.reach, Math.sqrt(square) + margin);
}

/** A loose mover's pose: turned about the piece's foot and shifted from where it was laid. */
function loosePose({ at }: Mover, n: Float64Array, i: number): Pose {
  const shift: Vec3 = [n[i], n[i + 1], n[i + 2]];
  const [x, y, z, w] = [n[i + 3], n[i + 4], n[i + 5], n[i + 6]];
  if (x === 0 && y === 0 && z === 0) {
    return shift.every((v) => v === 0) ? STILL : { turn: NO_TURN, shift, size: 1 };
  }
  const turn = matrixOf([x, y, z, w]);
  return { turn, shift: add(shift, sub(at, rotate(turn, at))), size: 1 };
}

/** Sets the numbers of every loose mover to those of one that stands where it was laid. */
export function layLoose(list: readonly Mover[], drives: Float64Array): void {
  for (const { loose, drive } of list) {
    if (!loose) continue;
    drives.fill(0, drive, drive + LOOSE_SIZE);
    drives[drive + 6] = 1;
    drives[drive + LOOSE_SIZE / 2 + 6] = 1;
  }
}

/** The boxes that a form's box may come to lie in, over all the motion of what carries it. */
export function reachOf(
  list: readonly Mover[],
  index: number,
  box: { readonly low: Vec3; readonly high: Vec3 },
): { low: Vec3; high: Vec3 } {
  let { low, high } = box;
  for (let i = index; i >= 0; i = list[i].parent) {
    const m = list[i];
    for (const motion of [...m.motions].reverse())
      ({ low, high } = swept(samplePoses(motion), low, high, turnsAbout(motion)));
    if (m.driven) ({ low, high } = driven(m, low, high));
    // It may be pushed anywhere.
    if (m.loose)
      return { low: [-ANYWHERE, -ANYWHERE, -ANYWHERE], high: [ANYWHERE, ANYWHERE, ANYWHERE] };
  }
  return { low, high };
}

/** How far a mover's shifting takes things down, m; turning, the runner and chance are left aside. */
export function sinkOf(list: readonly Mover[], index: number): number {
  let low = 0;
  for (let i = index; i >= 0; i = list[i].parent) {
    for (const motion of list[i].motions) {
      if (turnsAbout(motion)) continue;
      low += Math.min(0, ...samplePoses(motion).map(({ shift }) => shift[1]));
    }
  }
  return -low;
}

const ANYWHERE = 1e6;

const turnsAbout = ({ kind }: Motion): boolean =>
  kind !== 'slide' && kind !== 'hop' && kind !== 'way';

/** The box about a box in all of some poses; between two of those that turn it strays by under 2 %. */
function swept(poses: readonly Pose[], low: Vec3, high: Vec3, turning: boolean) {
  const l: [number, number, number] = [Infinity, Infinity, Infinity];
  const h: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  // A turned box reaches from its middle as far as the sizes of its turn's numbers say.
  const middle: Vec3 = [(low[0] + high[0]) / 2, (low[1] + high[1]) / 2, (low[2] + high[2]) / 2];
  const half: Vec3 = [(high[0] - low[0]) / 2, (high[1] - low[1]) / 2, (high[2] - low[2]) / 2];
  for (const { turn: m, shift, size } of poses) {
    for (let axis = 0; axis < 3; axis++) {
      const [a, b, c] = [m[3 * axis], m[3 * axis + 1], m[3 * axis + 2]];
      const at = (a * middle[0] + b * middle[1] + c * middle[2]) * size + shift[axis];
      const reach = (Math.abs(a) * half[0] + Math.abs(b) * half[1] + Math.abs(c) * half[2]) * size;
      if (at - reach < l[axis]) l[axis] = at - reach;
      if (at + reach > h[axis]) h[axis] = at + reach;
    }
  }
  const span = Math.max(h[0] - l[0], h[1] - l[1], h[2] - l[2]);
  const margin = turning ? 0.02 * span : 0.03 * span;
  return {
    low: mapVec3((i) => l[i] - margin),
    high: mapVec3((i) => h[i] + margin),
  };
}

function driven(m: Mover, low: Vec3, high: Vec3): { low: Vec3; high: Vec3 } {
  const { driven: told } = m;
  if (told!.kind === 'arrive') {
    const far = rotate(m.turn, told!.from);
    const spins = told!.turn ? Math.max(...high.map((v, i) => v - low[i])) : 0;
    return {
      low: mapVec3((i) => Math.min(low[i], low[i] + far[i]) - spins),
      high: mapVec3((i) => Math.max(high[i], high[i] + far[i]) + spins),
    };
  }
  const reach = told!.kind === 'chase' ? CHASE_REACH * told!.range : 2 * BOUNDS;
  return {
    low: add(low, [-reach, -reach, -reach]),
    high: add(high, [reach, reach, reach]),
  };
}

/** How many times its range something that chases may get from home. */
export const CHASE_REACH = 3;
