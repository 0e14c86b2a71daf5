import type { Course } from '../course';
import { distance, type Vec3 } from '../geometry';
import { runnerOf, SECONDS_TO_TOP_SPEED } from '../run';
import { plainWay } from './profile';
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

/** Length, climb and time of a way for the runner of a course. */
export function expectationOf(course: Course, way: readonly Vec3[], closed = false): Expectation {
  const { topSpeed } = runnerOf(course.runner);
  const ring = closed && way.length > 2 ? [...way, way[0]] : way;
  let [length, climb, flat] = [0, 0, 0];
  for (let i = 1; i < ring.length; i++) {
    const [a, b] = [ring[i - 1], ring[i]];
    length += distance(a, b);
    climb += Math.max(0, b[1] - a[1]);
    // A runner keeps its pace over the map, whatever the slope.
    flat += Math.hypot(b[0] - a[0], b[2] - a[2]);
  }
  const rounds = course.kind === 'laps' ? (course.laps ?? 3) : 1;
  const time = (rounds * flat) / topSpeed + (flat > 0 ? SECONDS_TO_TOP_SPEED / 2 : 0);
  return { length, climb, time };
}

/** The way a course is meant to take, and where it is known from. */
export function intendedWay(course: Course): {
  way: Vec3[];
  closed: boolean;
  from: 'track' | 'sketch' | 'marks';
} {
  const track = trackWay(course);
  if (track) return { ...track, from: 'track' };
  const points = course.sketch?.points ?? [];
  const marks = plainWay(course);
  if (points.length > 1 && marks.length < 3) {
    return { way: points as Vec3[], closed: !!course.sketch?.closed, from: 'sketch' };
  }
  return { way: marks, closed: false, from: 'marks' };
}

/** Length of the way a course is meant to take, m. */
export function courseLength(course: Course): number {
  const { way, closed } = intendedWay(course);
  return expectationOf(course, way, closed).length;
}
