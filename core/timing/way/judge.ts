import type { Course, Piece } from '../../course';
import type { Vec3 } from '../../geometry';
import { buildWorld, courseHash, type Run, type World } from '../../run';
import { isMishap } from '../mishap';
import { stretchesOf } from '../pressed';
import { traceOf, type RunTrace } from '../trace';
import { lastStand } from '../phases';
import { changesOf, nearestChange, type PieceChange } from './changes';
import { culprits } from './culprits';
import { SEARCH_TICKS, WaySearch } from './search';

/** What is said of an old run after an edit. */
export type WayVerdict =
  /** Its inputs lead to the goal as they are. */
  | { readonly kind: 'holds'; readonly time: number }
  /** Others near them do. */
  | { readonly kind: 'other-inputs'; readonly time: number; readonly run: Run }
  /** It ends. */
  | {
      readonly kind: 'ends';
      /** The last tick at which it kept to its way, and the place, m. */
      readonly tick: number;
      readonly at: Vec3;
      /** The piece because of which, where there is one to name; of several together the nearest. */
      readonly piece: string | null;
      /** How many changed pieces it takes to have it lead through again; one where it is that piece alone. */
      readonly among: number;
    };

/** A run on the last course on which its inputs led through. */
export interface HeldWay {
  readonly pieces: readonly Piece[];
  readonly trace: RunTrace;
}

/** A verdict, and what later ones are held against. */
export interface Judged {
  readonly verdict: WayVerdict;
  readonly held: HeldWay | null;
  /** Looks for other inputs that lead through, where these do not and there is something to look by. */
  readonly search: ((budget?: number) => WayVerdict) | null;
}

/**
 * Whether a finished run still leads through a course that was edited since.
 *
 * @param course the course as it is now
 * @param run the run, of whatever course before
 * @param before the run on the last course on which it held; null where that is not known, and then no other
 * inputs are looked for
 */
export function judgeWay(course: Course, run: Run, before: HeldWay | null): Judged {
  const world = buildWorld(course);
  const now: Run = { ...run, course: courseHash(course) };
  const trace = traceOf(course, now, world);
  if (trace.result.finished) {
    const held = { pieces: course.pieces, trace };
    return { verdict: { kind: 'holds', time: trace.result.time }, held, search: null };
  }
  const changes = before ? changesOf(before.pieces, course.pieces) : [];
  const end = endOf(course, now, trace, before, changes);
  // A stone that is struck goes where the stroke sends it: there is nothing to steer. And what lies loose makes
  // each try so slow that the answer would come too late.
  const steered = !world.runner.struck && world.loose.length === 0;
  const search =
    before && steered
      ? (budget = SEARCH_TICKS) =>
          searched(course, now, { world, before, changes }, end, budget) ?? end
      : null;
  return { verdict: end, held: before, search };
}

/** Farther than this from where it was at the tick it has left its way, m. */
const LEFT = 0.5;

type End = Extract<WayVerdict, { kind: 'ends' }>;

function endOf(
  course: Course,
  run: Run,
  trace: RunTrace,
  before: HeldWay | null,
  changes: readonly PieceChange[],
): End {
  const mishap = trace.result.events.find(isMishap);
  if (!before) {
    const tick = mishap ? lastStand(trace.ground, mishap.tick - 1) : trace.result.ticks;
    const piece = mishap?.piece ?? null;
    return { kind: 'ends', tick, at: placeAt(trace.path, tick), piece, among: 1 };
  }
  const tick = lastTogether(trace.path, before.trace.path);
  const at = placeAt(before.trace.path, tick);
  const because = culprits(course, run, changes, at);
  const piece = nearestChange(because, at)?.id ?? mishap?.piece ?? null;
  return { kind: 'ends', tick, at, piece, among: Math.max(1, because.length) };
}

const placeAt = (path: Float64Array, tick: number): Vec3 => [
  path[3 * tick],
  path[3 * tick + 1],
  path[3 * tick + 2],
];

/** The last tick up to which two runs were at the same places. */
function lastTogether(a: Float64Array, b: Float64Array): number {
  const count = Math.min(a.length, b.length) / 3;
  for (let tick = 0; tick < count; tick++) {
    const i = 3 * tick;
    const [dx, dy, dz] = [a[i] - b[i], a[i + 1] - b[i + 1], a[i + 2] - b[i + 2]];
    if (dx * dx + dy * dy + dz * dz > LEFT * LEFT) return Math.max(0, tick - 1);
  }
  return count - 1;
}

/** What a search goes by. */
interface SearchFrom {
  readonly world: World;
  readonly before: HeldWay;
  readonly changes: readonly PieceChange[];
}

function searched(
  course: Course,
  run: Run,
  { world, before, changes }: SearchFrom,
  { tick, piece }: End,
  budget: number,
): WayVerdict | null {
  const change = changes.find(({ id }) => id === piece) ?? null;
  const inputs = new WaySearch(world, run, before.trace, change, budget).find(tick);
  if (!inputs) return null;
  // Believed only when it has been played from the start.
  const found: Run = { ...run, inputs: stretchesOf(inputs) };
  const { result } = traceOf(course, found, world);
  if (!result.finished) return null;
  return { kind: 'other-inputs', time: result.time, run: { ...found, claim: result.time } };
}
