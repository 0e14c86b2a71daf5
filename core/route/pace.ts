import type { Course, Piece } from '../course';
import { distance, type Vec3 } from '../geometry';
import { periodOf, parseMotion, inTempo, isDriven } from '../motion';
import { localGeometry, pieceBounds } from '../pieces';
import { DEFAULT_GRAVITY, runnerOf, SLOPE_LIMIT, type Runner } from '../run';

/** Longest piece of a way that one speed is worked out for, m. */
const PITCH = 1;
/** Over which length before and after a place its bend is measured, m. */
const BEND = 3;
/** What goes no further than this over the map goes straight up or down, and has no bend, m. */
const UPRIGHT = 0.05;
/** Seconds for which a stroke is aimed. */
const AIM = 1.5;
/** Least speed anything gets on with, m/s. */
const LEAST = 0.4;
/** What stands within this of a way has to be waited for, m. */
const BESIDE = 1;
/** Parts of its period that something is waited for in the mean: what carries, and what hurts. */
const [WAIT_TO_RIDE, WAIT_TO_PASS] = [0.25, 0.125];

type Struck = Extract<Runner, { struck: true }>;
type Driven = Exclude<Runner, Struck>;

/**
 * Seconds a runner needs along a way from standing: the fastest speeds that its own push, the slopes, its hold
 * in the bends and its brakes allow (one pass on and one back over the way, as for a quasi-steady lap: Brayshaw
 * and Harrison, 2005), the times its jumps and falls take, and a mean wait for what moves there.
 * @param ways places in order, m; each is begun from standing
 * @param rounds how often each is gone along; all but the first take what the second one takes
 */
export function paceTime(course: Course, ways: readonly (readonly Vec3[])[], rounds = 1): number {
  const runner = runnerOf(course.runner);
  const g = course.gravity ?? DEFAULT_GRAVITY;
  let seconds = 0;
  const along = (way: readonly Vec3[]) =>
    runner.struck ? strokesTime(way, runner, g) : drivenTime(way, runner, g);
  for (const way of ways) {
    const first = along(way);
    const flying = rounds > 1 ? Math.max(0, along([...way, ...way]) - first) : 0;
    seconds += first + (rounds - 1) * flying + rounds * waits(course, way);
  }
  return seconds;
}

/**
 * Fewest strokes along ways, each as far as it goes at its hardest. Null for a runner that is not struck.
 * @param ways places in order, m; each is begun anew
 */
export function strokesNeeded(
  { runner: told, gravity = DEFAULT_GRAVITY }: Pick<Course, 'runner' | 'gravity'>,
  ways: readonly (readonly Vec3[])[],
): number | null {
  const runner = runnerOf(told);
  if (!runner.struck) return null;
  return ways.reduce((sum, way) => sum + strokesOver(lengthOf(way), runner, gravity), 0);
}

const strokesOver = (length: number, { strength, friction }: Struck, g: number): number =>
  Math.ceil(length / ((strength * strength) / (2 * friction * g)));

/** A sliding stone goes v²/2µg far with a stroke of v, for v/µg; then it is aimed anew. */
function strokesTime(way: readonly Vec3[], runner: Struck, g: number) {
  const { friction } = runner;
  const length = lengthOf(way);
  if (length === 0) return 0;
  const strokes = strokesOver(length, runner, g);
  // Strokes are as hard as they have to be.
  const speed = Math.sqrt((2 * friction * g * length) / strokes);
  return strokes * (speed / (friction * g) + AIM);
}

function drivenTime(told: readonly Vec3[], runner: Driven, g: number) {
  const way = evenly(told);
  const n = way.length;
  if (n < 2) return 0;
  const most = bendSpeeds(way, runner, g);
  const legs = way.slice(1).map((to, i) => legOf(way[i], to, runner, g));
  const speeds = new Float64Array(n);
  for (let i = 1; i < n; i++) {
    const { length, gain, pull, own } = legs[i - 1];
    // Downhill it goes on gaining past the speed of its own.
    const by = speeds[i - 1] < own ? gain : Math.min(gain, -pull);
    const faster = Math.sqrt(Math.max(0, speeds[i - 1] * speeds[i - 1] + 2 * by * length));
    const top = pull < 0 ? Infinity : Math.max(own, faster < speeds[i - 1] ? faster : own);
    speeds[i] = Math.max(LEAST, Math.min(most[i], faster, top));
  }
  for (let i = n - 2; i >= 0; i--) {
    const { length, brake } = legs[i];
    speeds[i] = Math.min(speeds[i], Math.sqrt(speeds[i + 1] * speeds[i + 1] + 2 * brake * length));
  }
  let seconds = 0;
  for (let i = 1; i < n; i++) {
    seconds += Math.max(legs[i - 1].least, timeOf(legs[i - 1], speeds[i - 1], speeds[i]));
  }
  return seconds;
}

/** What a runner can do along one stretch. */
interface Leg {
  readonly length: number;
  /** Change of speed by its own push and the slope together, and by the slope alone, m/s². */
  readonly gain: number;
  readonly pull: number;
  readonly brake: number;
  /** Speed past which it has no push of its own, m/s. */
  readonly own: number;
  /** Seconds that a jump or fall takes whatever its speed. */
  readonly least: number;
}

/** Seconds along a stretch from one speed to another: changing it as soon, or as late, as can be. */
function timeOf({ length, gain, brake }: Leg, from: number, to: number): number {
  const by = to > from ? gain : brake;
  const changing = by > 0 ? Math.abs(to * to - from * from) / (2 * by) : 0;
  const fastest = Math.max(from, to, LEAST);
  if (by <= 0 || changing >= length) return length / Math.max(LEAST / 2, (from + to) / 2);
  return Math.abs(to - from) / by + (length - changing) / fastest;
}

const STEEP = Math.tan((SLOPE_LIMIT * Math.PI) / 180);

function legOf(a: Vec3, b: Vec3, runner: Driven, g: number): Leg {
  const flat = Math.hypot(b[0] - a[0], b[2] - a[2]);
  const rise = b[1] - a[1];
  const steep = Math.abs(rise) > STEEP * flat;
  if (runner.walks) {
    // Over the map it keeps its pace; up it jumps and down it falls.
    const { acceleration, topSpeed, jumpHeight } = runner;
    const vy = Math.sqrt(2 * g * jumpHeight);
    const climbs = Math.max(0, rise);
    const up =
      climbs < jumpHeight ? (vy - Math.sqrt(vy * vy - 2 * g * climbs)) / g : (2 * climbs) / vy;
    const least = steep ? (rise > 0 ? up : Math.sqrt((-2 * rise) / g)) : 0;
    const by = { gain: acceleration, pull: 0, brake: acceleration, own: topSpeed };
    return { length: flat, ...by, least };
  }
  const length = Math.hypot(flat, rise);
  const pull = steep || length === 0 ? 0 : (g * rise) / length;
  const gain = runner.acceleration - pull;
  const brake = runner.brake + pull;
  const least = steep && rise < 0 ? Math.sqrt((-2 * rise) / g) : 0;
  return { length, gain, pull, brake: Math.max(0.5, brake), own: runner.topSpeed, least };
}

/** The speeds at which the bends may be taken, m/s: as their radius and the runner's hold on the ground allow. */
function bendSpeeds(way: readonly Vec3[], runner: Driven, g: number): readonly number[] {
  if (runner.walks) return way.map(() => Infinity);
  const gone = [0];
  for (let i = 1; i < way.length; i++) gone.push(gone[i - 1] + distance(way[i - 1], way[i]));
  let [back, on] = [0, 0];
  return way.map((at, i) => {
    while (gone[back + 1] <= gone[i] - BEND) back++;
    while (on < way.length - 1 && gone[on] < gone[i] + BEND) on++;
    const bend = bendOf(way[back], at, way[on]);
    return bend
      ? Math.max(LEAST, Math.sqrt((runner.grip * g * bend.length) / bend.turn))
      : Infinity;
  });
}

/** How far a way through three places goes over the map, m, and turns, radians; nothing where it hardly does either. */
function bendOf(from: Vec3, at: Vec3, to: Vec3): { length: number; turn: number } | null {
  const [ax, az, bx, bz] = [at[0] - from[0], at[2] - from[2], to[0] - at[0], to[2] - at[2]];
  const [la, lb] = [Math.hypot(ax, az), Math.hypot(bx, bz)];
  if (la < UPRIGHT || lb < UPRIGHT) return null;
  const turn = Math.atan2(Math.abs(ax * bz - az * bx), ax * bx + az * bz);
  return turn < 0.02 ? null : { length: (la + lb) / 2, turn };
}

/** Seconds waited in the mean for what moves on a way. */
function waits(course: Course, told: readonly Vec3[]): number {
  const way = evenly(told);
  let seconds = 0;
  for (const piece of course.pieces) {
    const period = comesAndGoes(course, piece);
    if (period === 0 || !isOn(piece, way)) continue;
    const carries = localGeometry(piece).shapes.some(({ role }) => role === 'solid');
    seconds += period * (carries ? WAIT_TO_RIDE : WAIT_TO_PASS);
  }
  return seconds;
}

/** Seconds after which a piece that goes away and comes back is there again; 0 where it does not. */
function comesAndGoes(course: Course, piece: Piece): number {
  const own = localGeometry(piece).motion;
  const told = (piece.motion ?? []).flatMap((motion) =>
    isDriven(motion) ? [] : [parseMotion(motion)],
  );
  const moves = [...told, ...(own ? [own] : [])].filter(
    ({ kind }) => kind === 'slide' || kind === 'way' || kind === 'poses',
  );
  return Math.max(0, ...moves.map((motion) => periodOf(inTempo(motion, course.tempo))));
}

/** Whether a way leads over a piece or close by it. */
function isOn(piece: Piece, way: readonly Vec3[]): boolean {
  const { low, high } = pieceBounds(piece);
  const within = (v: number, axis: number, room: number) =>
    v > low[axis] - room && v < high[axis] + room;
  return way.some(
    (p) => within(p[0], 0, BESIDE) && within(p[2], 2, BESIDE) && within(p[1], 1, 2 * BESIDE),
  );
}

const lengthOf = (way: readonly Vec3[]): number =>
  way.reduce((sum, p, i) => (i === 0 ? 0 : sum + distance(way[i - 1], p)), 0);

/** The same way in stretches of no more than the pitch. */
function evenly(way: readonly Vec3[]): Vec3[] {
  const out: Vec3[] = way.slice(0, 1) as Vec3[];
  for (let i = 1; i < way.length; i++) {
    const [a, b] = [way[i - 1], way[i]];
    const parts = Math.max(1, Math.ceil(distance(a, b) / PITCH));
    for (let k = 1; k <= parts; k++) {
      const t = k / parts;
      out.push([a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t]);
    }
  }
  return out;
}
