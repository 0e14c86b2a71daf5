import type { Course } from '../course';
import { distance, type Vec3 } from '../geometry';
import { runnerOf, SECONDS_TO_TOP_SPEED } from '../run';
import { marksOf } from './profile';
import { roadsOf } from './road';
import { trackWay } from './track';

/** What a way asks of the runner. */
export interface Expectation {
  /** Along the way, m. */
  readonly length: number;
  /** All that goes up, m. */
  readonly climb: number;
  /** Seconds for the runner at full speed over the map, from standing. */
  readonly time: number;
}

/** The way a course is meant to take, in one piece for each leg, and where it is known from. */
export interface IntendedWay {
  readonly legs: readonly (readonly Vec3[])[];
  /** All of it in a row. */
  readonly way: Vec3[];
  readonly closed: boolean;
  readonly from: 'track' | 'sketch' | 'road' | 'marks';
}

/** Length, climb and time of the way a course is meant to take, for its runner. */
export function expectationOf(
  course: Course,
  { legs, closed }: Omit<IntendedWay, 'way' | 'from'>,
): Expectation {
  const { topSpeed } = runnerOf(course.runner);
  let [length, climb, flat, starts] = [0, 0, 0, 0];
  for (const leg of legs) {
    const ring = closed && leg.length > 2 ? [...leg, leg[0]] : leg;
    for (let i = 1; i < ring.length; i++) {
      const [a, b] = [ring[i - 1], ring[i]];
      length += distance(a, b);
      climb += Math.max(0, b[1] - a[1]);
      // A runner keeps its pace over the map, whatever the slope.
      flat += Math.hypot(b[0] - a[0], b[2] - a[2]);
    }
    if (ring.length > 1) starts++;
  }
  const rounds = course.kind === 'laps' ? (course.laps ?? 3) : 1;
  const time = (rounds * flat) / topSpeed + (starts * SECONDS_TO_TOP_SPEED) / 2;
  return { length, climb, time };
}

/**
 * The way a course is meant to take: along its track, its sketch, or from mark to mark.
 * @param roads the ways found from mark to mark, where they are known; else those are straight
 */
export function intendedWay(
  course: Course,
  roads: readonly (readonly Vec3[])[] | null = null,
): IntendedWay {
  const track = trackWay(course);
  if (track) return { legs: [track.way], ...track, from: 'track' };
  const points = (course.sketch?.points ?? []) as Vec3[];
  const marks = marksOf(course);
  if (points.length > 1 && marks.flat().length < 3) {
    return { legs: [points], way: points, closed: !!course.sketch?.closed, from: 'sketch' };
  }
  const legs = roads ?? marks;
  return { legs, way: legs.flat(), closed: false, from: roads ? 'road' : 'marks' };
}

/** Length of the way a course is meant to take, m, looked for where it has to be. */
export function courseLength(course: Course): number {
  const plain = intendedWay(course);
  const way = plain.from === 'marks' ? intendedWay(course, roadsOf(course)) : plain;
  return expectationOf(course, way).length;
}
