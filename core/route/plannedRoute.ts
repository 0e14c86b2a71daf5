import type { Course } from '../course';
import { distance, type Vec3 } from '../geometry';
import { paceTime, strokesNeeded } from './pace';
import { marksOf } from './profile';
import { roadsOf, type Roads } from './road';
import { trackWay } from './track';

/** What a way asks of the runner. */
export interface Expectation {
  /** Along the way, m. */
  readonly length: number;
  /** All that goes up, m. */
  readonly climb: number;
  /** Seconds for the runner, as paceTime has them; null where no way is known all along. */
  readonly time: number | null;
  /** Strokes for a runner that is struck; null for others, and where no way is known all along. */
  readonly strokes: number | null;
}

/** The way a course is meant to take, in one piece for each leg, and where it is known from. */
export interface PlannedRoute {
  readonly legs: readonly (readonly Vec3[])[];
  /** All of it in a row. */
  readonly way: Vec3[];
  readonly closed: boolean;
  /** It leads along a track, a sketch or surfaces from end to end; else in places straight over what lies there. */
  readonly whole: boolean;
  readonly from: 'track' | 'sketch' | 'road' | 'marks';
}

/** The legs of a way, each closed where the way is. */
const ringsOf = ({ legs, closed }: Pick<PlannedRoute, 'legs' | 'closed'>) =>
  legs.map((leg) => (closed && leg.length > 2 ? [...leg, leg[0]] : leg));

/** Length and climb of the way a course is meant to take, m. */
export function extentOf(
  meant: Pick<PlannedRoute, 'legs' | 'closed'>,
): Pick<Expectation, 'length' | 'climb'> {
  let [length, climb] = [0, 0];
  for (const ring of ringsOf(meant)) {
    for (let i = 1; i < ring.length; i++) {
      length += distance(ring[i - 1], ring[i]);
      climb += Math.max(0, ring[i][1] - ring[i - 1][1]);
    }
  }
  return { length, climb };
}

/** The same, and the time it takes the course's runner. */
export function expectationOf(
  course: Course,
  meant: Pick<PlannedRoute, 'legs' | 'closed' | 'whole'>,
): Expectation {
  const rounds = course.kind === 'laps' ? (course.laps ?? 3) : 1;
  const rings = ringsOf(meant);
  const time = meant.whole ? paceTime(course, rings, rounds) : null;
  const strokes = meant.whole ? strokesNeeded(course, rings) : null;
  return { ...extentOf(meant), time, strokes };
}

/**
 * The way a course is meant to take: along its track, its sketch, or from mark to mark.
 * @param roads the ways found from mark to mark, where they are known; else those are straight
 */
export function plannedRoute(course: Course, roads: Roads | null = null): PlannedRoute {
  const track = trackWay(course);
  if (track) return { legs: [track.way], ...track, whole: true, from: 'track' };
  const points = (course.sketch?.points ?? []) as Vec3[];
  const marks = marksOf(course);
  if (points.length > 1 && marks.flat().length < 3) {
    const closed = !!course.sketch?.closed;
    return { legs: [points], way: points, closed, whole: true, from: 'sketch' };
  }
  const { legs, whole } = roads ?? { legs: marks, whole: false };
  return { legs, way: legs.flat(), closed: false, whole, from: roads ? 'road' : 'marks' };
}

/** Length of the way a course is meant to take, m, looked for where it has to be. */
export function courseLength(course: Course): number {
  const plain = plannedRoute(course);
  const way = plain.from === 'marks' ? plannedRoute(course, roadsOf(course)) : plain;
  return extentOf(way).length;
}
