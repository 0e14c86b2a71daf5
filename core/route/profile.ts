import type { Course, Piece } from '../course';
import { distance, lerp, type Vec3 } from '../geometry';
import { checkpointNumber, contactRoles, familyOf, legOf, pieceBounds, markOf } from '../pieces';

/** A place on the way through a course. */
export interface Station {
  /** Metres from the start along the way. */
  readonly along: number;
  readonly at: Vec3;
}

/** Something that stands by the way. */
export interface Mark {
  readonly kind: 'start' | 'checkpoint' | 'goal' | 'pickup' | 'hazard' | 'mover';
  readonly piece: string;
  readonly along: number;
  /** Metres of the way it takes up, for hazards and movers. */
  readonly width: number;
  readonly height: number;
}

/** The course unrolled along its way. */
export interface Profile {
  readonly length: number;
  readonly stations: readonly Station[];
  readonly marks: readonly Mark[];
}

/** Metres between stations. */
const PITCH = 0.5;
/** How far beside the way something still stands by it, m. */
const BESIDE = 4;

/** For each leg its start, its checkpoints in order of their numbers, its goal, as far as there are any, m. */
export function marksOf({ pieces, legs }: Pick<Course, 'pieces' | 'legs'>): Vec3[][] {
  const count = Math.max(1, legs?.length ?? 1);
  return Array.from({ length: count }, (_, leg) => {
    const of = (mark: ReturnType<typeof markOf>) =>
      pieces.filter((one) => markOf(one) === mark && (count === 1 || legOf(one) === leg + 1));
    const between = of('checkpoint').sort((a, b) => checkpointNumber(a) - checkpointNumber(b));
    return [...of('start').slice(0, 1), ...between, ...of('goal').slice(0, 1)].map(
      ({ at }): Vec3 => [at[0], at[1], at[2]],
    );
  });
}

/** Length of a way through places, m. */
export const wayLength = (way: readonly Vec3[]): number =>
  way.reduce((sum, p, i) => (i === 0 ? 0 : sum + distance(way[i - 1], p)), 0);

/**
 * Unrolls a course along a way.
 * @param way places in order: a run's path, or a way that is meant
 * @param leap two places further apart than this are no way at all but a return to a checkpoint, m
 */
export function elevationProfile(course: Course, way: readonly Vec3[], leap = Infinity): Profile {
  const stations = stationsOf(way, leap);
  const marks: Mark[] = [];
  for (const piece of course.pieces) {
    const kind = kindOf(course, piece);
    if (!kind || stations.length === 0) continue;
    let nearest = stations[0];
    let best = Infinity;
    for (const station of stations) {
      const gap = distance(station.at, piece.at);
      if (gap < best) {
        best = gap;
        nearest = station;
      }
    }
    const { low, high } = pieceBounds(piece);
    const extent = Math.min(high[0] - low[0], 6);
    if (kind !== 'start' && kind !== 'goal' && best > BESIDE + extent) continue;
    const width = kind === 'hazard' || kind === 'mover' ? extent : 0;
    marks.push({ kind, piece: piece.id, along: nearest.along, width, height: piece.at[1] });
  }
  return { length: stations[stations.length - 1]?.along ?? 0, stations, marks };
}

function kindOf(course: Course, piece: Piece): Mark['kind'] | null {
  if (piece.family === 'start') return 'start';
  const roles = contactRoles(course, piece);
  if (roles.includes('hazard')) return 'hazard';
  if (familyOf(piece.family).group === 'movers' || piece.motion) return 'mover';
  return (
    roles.find((role) => role === 'checkpoint' || role === 'goal' || role === 'pickup') ?? null
  );
}

/**
 * Stations at an even pitch along a way.
 * @param way places in order, m
 * @param leap two places further apart than this are no way at all, m
 */
export function stationsOf(way: readonly Vec3[], leap = Infinity): Station[] {
  if (way.length === 0) return [];
  const stations: Station[] = [{ along: 0, at: way[0] }];
  let along = 0;
  let next = PITCH;
  for (let i = 1; i < way.length; i++) {
    const leg = distance(way[i - 1], way[i]);
    if (leg > leap) continue;
    while (next <= along + leg) {
      stations.push({ along: next, at: lerp(way[i - 1], way[i], (next - along) / leg) });
      next += PITCH;
    }
    along += leg;
  }
  stations.push({ along, at: way[way.length - 1] });
  return stations;
}

/** Further than any runner gets between two places of a run's path as it is thinned, m. */
export const RUN_LEAP = 2;

/** Every sixth place of a run's path, which is often enough to draw. */
export function thinPath(path: Float64Array): Vec3[] {
  const way: Vec3[] = [];
  for (let i = 0; i < path.length; i += 18) way.push([path[i], path[i + 1], path[i + 2]]);
  return way;
}
