import type { Allowance, Course } from '../../course';
import { boundsOf, mapVec3, type Vec3 } from '../../geometry';
import { allowanceOf } from '../../pieces';
import {
  carriedAlong,
  type Collider,
  DT,
  poseMover,
  type RunEvent,
  type RunState,
  type World,
} from '../../run';
import { gapNow } from './onWay';
import type { Pictures } from './pictures';

/** A hit in which the pictures did not meet. */
export interface UnfairHit {
  readonly piece: string;
  readonly tick: number;
  /** Where the runner's foot was, m. */
  readonly at: Vec3;
  /** Metres between the pictures. */
  readonly gap: number;
  /** What would have it hit no sooner than the pictures meet: an allowance of the piece, or of one drawn part. */
  readonly mend: { readonly part: number | null; readonly allowance: Allowance };
}

/** Pictures nearer than this count as meeting, m. */
const MEETS = 0.02;
/** The least that may be allowed, cm. */
const LEAST = -90;

/**
 * What of a hit is unfair; null where the pictures met.
 * @param course the course as it was run
 * @param world the course made ready
 * @param pictures what is drawn of it
 * @param s the run's state in the tick of the hit
 * @param event the hit
 * @param before where the runner's foot was at the tick before, m
 */
export function unfairHit(
  course: Course,
  world: World,
  pictures: Pictures,
  s: RunState,
  event: RunEvent,
  before: Vec3,
): UnfairHit | null {
  if (event.kind !== 'hazard' || event.piece === undefined) return null;
  const place = world.placeOf.get(event.piece);
  if (place === undefined) return null;
  const { piece, tick, time } = event;
  // The place within the tick at which it was hit.
  const part = time / DT - (tick - 1);
  const now: Vec3 = [event.x, event.y, event.z];
  const at = mapVec3((i) => before[i] + (now[i] - before[i]) * part);
  // What moves stands where the tick ends: the same place as seen from it, there.
  const { mover } = hazardNear(world, s, place, at);
  const carried = mover < 0 ? before : carriedAlong(poseMover(world.movers, s, mover), ...before);
  const seen = mapVec3((i) => carried[i] + (now[i] - carried[i]) * part);
  const gap = pictures.gap(s, place, placeOf(seen));
  if (!(gap > MEETS) || gap === Infinity) return null;
  return { piece, tick, at, gap, mend: mendOf(course, world, s, place, seen, gap) };
}

/** The hazard of a piece that is nearest to a place. */
function hazardNear(world: World, s: RunState, place: number, at: Vec3): Collider {
  const gapOf = (c: Collider) => gapNow(world, s, c, placeOf(at));
  return world.colliders
    .filter((c) => c.piece === place && c.role === 'hazard')
    .reduce((a, b) => (gapOf(b) < gapOf(a) ? b : a));
}

/** A place by its names. */
const placeOf = ([x, y, z]: Vec3) => ({ x, y, z });

/**
 * The allowance with which a hit comes no sooner than the pictures meet.
 * @param course the course as it was run
 * @param world the course made ready
 * @param s the run's state in the tick of the hit
 * @param place of what hit, in the world's pieces
 * @param at where the runner's foot was, m
 * @param gap metres between the pictures
 */
function mendOf(
  course: Course,
  world: World,
  s: RunState,
  place: number,
  at: Vec3,
  gap: number,
): UnfairHit['mend'] {
  const piece = world.pieces[place];
  const own = world.colliders.filter((c) => c.piece === place);
  const felt = hazardNear(world, s, place, at);
  // Drawn parts stand last, in their order.
  const drawn = piece.shape?.parts ?? [];
  const part = own.indexOf(felt) - (own.length - drawn.length);
  const partAllowance = part >= 0 ? drawn[part].allowance : undefined;
  const now = partAllowance ?? allowanceOf(course, piece, felt.role);
  const larger = centimetres(now, felt);
  // To the millimetre, and no less than it takes.
  const wanted = Math.max(LEAST, Math.floor(10 * (larger - 100 * gap)) / 10);
  // What was made larger is first made as it is drawn.
  const value = larger >= 0.05 ? Math.max(0, wanted) : wanted;
  return { part: partAllowance ? part : null, allowance: { by: 'cm', value } };
}

/** By how much an allowance has a shape larger on each side, cm; one in parts of it by its least extent. */
function centimetres(allowance: Allowance | undefined, { form }: Collider): number {
  if (!allowance) return 0;
  if (allowance.by === 'cm') return allowance.value;
  const part = allowance.value / 100;
  if (form.kind === 'ball') return (100 * form.radius * part) / (1 + part);
  const { low, high } = boundsOf(form.solid.points);
  const extent = Math.min(...[0, 1, 2].map((axis) => high[axis] - low[axis]));
  return (50 * extent * part) / (1 + part);
}
