import type { Course } from '../../course';
import { distance, lerp, type Vec3 } from '../../geometry';
import { checkpointNumber, legOf } from '../../pieces';
import { legMarks, nearestOf, spotAt, type World } from '../world';
import type { RunState } from '../state';
import { teleport } from '../contact';
import { initialState } from './begin';
import type { Run } from './record';

/** Where a run begins part of the way, m, and the degrees it faces about y. Without them it faces the next mark. */
export type RunFrom = readonly [x: number, y: number, z: number, heading?: number];

/** How far along a way one looks to face along it, m. */
const LOOK_AHEAD = 3;

/**
 * A place to begin at, facing along a way that passes it. Without a way it faces the next mark.
 * @param at where to begin, m
 * @param way places that the way leads through in order, m
 * @param lane the depth of a side-on course, or null
 */
export function facingAlong(at: Vec3, way: readonly Vec3[], lane: number | null): RunFrom {
  if (way.length < 2) return at;
  const { after, part } = nearestOf(way, at);
  const from = lerp(way[after], way[after + 1], part);
  let left = LOOK_AHEAD;
  let to = from;
  for (let i = after + 1; i < way.length && left > 1e-9; i++) {
    const far = distance(to, way[i]);
    to = far > left ? lerp(to, way[i], left / far) : way[i];
    left -= far;
  }
  // At its end the way still leads on as it came.
  const back = distance(from, to) < 1e-6;
  return [...at, headingTo(back ? way[after] : from, to, lane)];
}

/**
 * A run begun part of the way: in the leg that passes the place nearest, with the checkpoints passed that
 * come before it on the way.
 * @param course the course as it is; it stays so
 * @param world the course made ready
 * @param from where it begins, and where it faces
 * @param seed what all chance in the run comes from
 * @returns the state, and a world whose runner returns to the place until it reaches a checkpoint
 */
export function beginAt(
  course: Course,
  world: World,
  from: RunFrom,
  seed = 0,
): { world: World; state: RunState } {
  const [x, y, z, heading] = from;
  const at: Vec3 = [x, y, z];
  const lines = legMarks(course);
  const nearest = lines.map((line) => nearestOf(line, at));
  const leg = nearest.reduce((best, { far }, i) => (far < nearest[best].far ? i : best), 0);
  const next = lines[leg][nearest[leg].after + 1] ?? null;
  const spot = spotAt([x, y, world.lane ?? z], heading ?? headingTo(at, next, world.lane));
  const starts = world.starts.map((of, i) => (i === leg ? [spot] : of));
  const here: World = { ...world, starts };
  const state = initialState(here, seed);
  if (world.legs > 0) state.leg = Math.min(leg, world.legs - 1);
  // The line's first mark is the start; a checkpoint before the place has been passed.
  const passed = lines[leg].slice(1, nearest[leg].after + 1);
  world.checkpoints.forEach(({ piece }, i) => {
    const cairn = world.pieces[piece];
    if (world.legs > 0 && legOf(cairn) !== leg + 1) return;
    const before = passed.some((mark) => mark.every((v, axis) => v === cairn.at[axis]));
    if (!before) return;
    state.passed[i] = 1;
    const last = world.checkpoints[state.checkpoint];
    if (!last || last.number < checkpointNumber(cairn)) state.checkpoint = i;
  });
  const last = state.checkpoint;
  // Going back it comes to the place it began at, not to a checkpoint it never was at.
  const checkpoints = world.checkpoints.map((one, i) =>
    i === last ? { ...one, ...spot, restores: false } : one,
  );
  const begun = { ...here, checkpoints };
  teleport(begun, state, spot);
  state.rest = 0;
  return { world: begun, state };
}

/**
 * The first state of a run that was recorded.
 * @param course the course as it is; it stays so
 * @param world the course made ready
 * @param run whose chance and start are taken
 * @param from where it began instead of at a start
 * @returns the state, and the world it is run in
 */
export const beginningOfRun = (
  course: Course,
  world: World,
  run: Pick<Run, 'seed' | 'start'>,
  from?: RunFrom,
): { world: World; state: RunState } =>
  from
    ? beginAt(course, world, from, run.seed)
    : { world, state: initialState(world, run.seed, run.start) };

/** Degrees about y from a place to another over the map; along x, one way or the other, on a side-on stage. */
function headingTo(from: Vec3, to: Vec3 | null, lane: number | null): number {
  if (!to) return 0;
  const [dx, dz] = [to[0] - from[0], to[2] - from[2]];
  if (lane !== null) return dx < 0 ? 180 : 0;
  let best = 0;
  let most = -Infinity;
  for (let heading = 0; heading < 360; heading += 15) {
    const { ahead } = spotAt(from, heading);
    const along = ahead[0] * dx + ahead[2] * dz;
    if (along > most) [most, best] = [along, heading];
  }
  return best;
}
