import { add, matrixOf, NO_TURN, rotate, scale, sub, type Vec3 } from '../../geometry';
import {
  composePoses,
  type Driven,
  type Pose,
  poseAt,
  poseInWorld,
  poseOf,
  STILL,
  TICKS_PER_SECOND,
} from '../../motion';
import { DRIVE_SIZE, LOOSE_SIZE, moverTick, type Clocks, type Mover } from './mover';

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
  if (m.drive >= 0) cached.drive.set(s.dynamicPoses.subarray(m.drive, m.drive + DRIVE_SIZE));
  return m;
}

function sameDrive(kept: Float64Array, drives: Float64Array, from: number): boolean {
  for (let i = 0; i < kept.length; i++) if (kept[i] !== drives[from + i]) return false;
  return true;
}

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
    const seconds = own / TICKS_PER_SECOND;
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
  cached.drive.set(drives.subarray(drive, drive + LOOSE_SIZE));
  const then = drive + LOOSE_SIZE / 2;
  let rests = true;
  for (let i = drive; rests && i < then; i++) rests = drives[i] === drives[i + LOOSE_SIZE / 2];
  m.pose = loosePose(m, drives, drive);
  m.before = rests ? m.pose : loosePose(m, drives, then);
  return m;
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
