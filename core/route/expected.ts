import { endIndex, endsOf } from '../assemble';
import type { Course, Piece } from '../course';
import { distance, type Vec3 } from '../geometry';
import { familyOf } from '../pieces';
import { runnerOf, SECONDS_TO_TOP_SPEED } from '../run';
import { plainWay } from './profile';

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

/** How near the start a track has to begin to be the course's way, m. */
const NEAR_START = 8;

/**
 * The way along the track pieces that are joined end to end, from the one nearest to the start on; null
 * when there is no track there.
 */
export function trackWay(course: Course): { way: Vec3[]; closed: boolean } | null {
  const tracks = course.pieces.filter(({ family }) => familyOf(family).group === 'track');
  if (tracks.length < 2) return null;
  const start = course.pieces.find(({ family }) => family === 'start')?.at;
  const near = (piece: Piece) => (start ? distance(piece.at, start) : 0);
  let piece = tracks.reduce((a, b) => (near(b) < near(a) ? b : a));
  if (near(piece) > NEAR_START) return null;
  const byId = new Map(tracks.map((track) => [track.id, track]));
  const index = endIndex(course);
  const way: Vec3[] = [endsOf(piece)[0].at];
  const seen = new Set<string>();
  while (!seen.has(piece.id)) {
    seen.add(piece.id);
    const [, out] = endsOf(piece);
    if (!out) break;
    way.push(...middlesOf(piece), out.at);
    const next = index
      .near(out.at, 1e-3)
      .find((end) => end.piece !== piece.id && byId.has(end.piece));
    if (!next) break;
    piece = byId.get(next.piece)!;
  }
  return { way, closed: seen.size > 2 && distance(way[0], way[way.length - 1]) < 1e-3 };
}

/** Places along a bend, which a straight line between its ends would cut short. */
function middlesOf(piece: Piece): Vec3[] {
  const [from, to] = endsOf(piece);
  const ahead: Vec3 = [-from.turn[0], -from.turn[3], -from.turn[6]];
  const turned = 1 - (ahead[0] * to.turn[0] + ahead[1] * to.turn[3] + ahead[2] * to.turn[6]);
  if (turned < 1e-6) return [];
  // The curve through both ends along their directions (cubic Hermite), a third of the chord each.
  const reach = distance(from.at, to.at);
  return [0.25, 0.5, 0.75].map((t): Vec3 => {
    const [a, b] = [(1 - t) * (1 - t) * (1 + 2 * t), t * t * (3 - 2 * t)];
    const [c, d] = [t * (1 - t) * (1 - t), -t * t * (1 - t)];
    return [0, 1, 2].map(
      (i) => a * from.at[i] + b * to.at[i] + reach * (c * ahead[i] + d * to.turn[3 * i]),
    ) as unknown as Vec3;
  });
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
