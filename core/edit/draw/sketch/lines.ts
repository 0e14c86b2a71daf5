import type { Course, Sketch } from '../../../course';
import { distance, lerp, type Vec3 } from '../../../geometry';
import { resample, smoothWay, thinWay, toCentimetres, wayLengthOf } from './way';

/** Metres between points of a drawn stroke that are kept. */
const PITCH = 0.5;
/** Ends of a stroke nearer than this close it into a round, m. */
const CLOSES = 2;
/** A stroke that begins or ends this near a drawn line belongs to it, m, where nothing else is said. */
const NEAR = 3;
/** Most branches a sketch has. */
const MOST_BRANCHES = 20;

/** A drawn line: the route itself, or a branch of it. */
export type SketchLine = Pick<Sketch, 'points' | 'closed'>;

/** A point of the sketch: of which line, the route being 0, and which of its points. */
export interface SketchPoint {
  readonly line: number;
  readonly index: number;
}

export const noSketch: Sketch = { points: [] };

/** The course with another sketch. */
export const withSketch = (course: Course, sketch: Sketch): Course => ({ ...course, sketch });

/** The lines of a sketch: the route first, then its branches. */
export const sketchLines = (sketch: Sketch | undefined): readonly SketchLine[] =>
  sketch ? [sketch, ...(sketch.branches ?? [])] : [];

/** The place of a sketch's point, or undefined where there is none. */
export const placeOfPoint = (sketch: Sketch | undefined, point: SketchPoint): Vec3 | undefined =>
  sketchLines(sketch)[point.line]?.points[point.index] as Vec3 | undefined;

/** A stroke as a sketch keeps it: evenly spaced, smoothed once, closed where its ends meet. */
export function toSketch(stroke: readonly Vec3[]): SketchLine {
  const points = smoothWay(resample(stroke, PITCH), false, 2);
  const length = wayLengthOf(points);
  const closed =
    length > 12 && distance(points[0], points[points.length - 1]) < Math.max(CLOSES, length * 0.06);
  return {
    points: thinWay(points, 1).map(toCentimetres),
    ...(closed ? { closed: true } : {}),
  };
}

/**
 * The course with a stroke drawn. A stroke that begins near an open end goes on from there; one that begins
 * elsewhere along a line is a branch of it, and is drawn onto the line it ends at; any other is the route anew.
 * @param near how far off a line a stroke still belongs to it, m: farther where a finger covers more
 */
export function drawSketch(course: Course, stroke: readonly Vec3[], near = NEAR): Course {
  if (stroke.length < 2) return course;
  const sketch = course.sketch ?? noSketch;
  const lines = sketchLines(sketch);
  const goesOn = lines.findIndex(
    ({ points, closed }) =>
      !closed && points.length > 0 && distance(stroke[0], points[points.length - 1] as Vec3) < near,
  );
  if (goesOn >= 0) {
    return withLine(course, goesOn, toSketch([...(lines[goesOn].points as Vec3[]), ...stroke]));
  }
  const root = nearestOn(lines, stroke[0], near);
  if (!root) {
    const { closed: _, branches: __, ...rest } = sketch;
    return withSketch(course, { ...rest, ...toSketch(stroke) });
  }
  const branches = sketch.branches ?? [];
  if (branches.length >= MOST_BRANCHES) return course;
  const tip = nearestOn(lines, stroke[stroke.length - 1], near);
  const drawn = [root, ...stroke.slice(1, -1), tip ?? stroke[stroke.length - 1]];
  return withSketch(course, {
    ...sketch,
    branches: [...branches, { points: toSketch(drawn).points }],
  });
}

/** The nearest place on any of the lines, where one is near enough to belong to it. */
function nearestOn(lines: readonly SketchLine[], p: Vec3, near: number): Vec3 | null {
  let best: Vec3 | null = null;
  let least = near;
  for (const { points, closed } of lines) {
    const ring = (closed ? [...points, points[0]] : points) as Vec3[];
    for (let i = 1; i < ring.length; i++) {
      const on = nearestBetween(ring[i - 1], ring[i], p);
      const away = distance(on, p);
      if (away >= least) continue;
      least = away;
      best = on;
    }
  }
  return best;
}

/** The place of a stretch that is nearest to another place. */
export function nearestBetween(a: Vec3, b: Vec3, p: Vec3): Vec3 {
  const square = [0, 1, 2].reduce((sum, i) => sum + (b[i] - a[i]) ** 2, 0);
  if (square === 0) return a;
  const part = [0, 1, 2].reduce((sum, i) => sum + (p[i] - a[i]) * (b[i] - a[i]), 0) / square;
  return lerp(a, b, Math.min(1, Math.max(0, part)));
}

/** The course with one line of its sketch drawn otherwise; a branch without points is gone. */
function withLine(course: Course, line: number, to: SketchLine): Course {
  const sketch = course.sketch ?? noSketch;
  if (line === 0) {
    const { closed: _, ...rest } = sketch;
    return withSketch(course, { ...rest, ...to });
  }
  const branches = (sketch.branches ?? [])
    .map((one, i) => (i === line - 1 ? { points: to.points } : one))
    .filter(({ points }) => points.length > 1);
  const { branches: _, ...rest } = sketch;
  return withSketch(course, branches.length > 0 ? { ...rest, branches } : rest);
}

/** Evens out every line of the sketch. */
export function smoothSketch(course: Course): Course {
  return sketchLines(course.sketch).reduce((now, line, i) => {
    if (line.points.length < 3) return now;
    const points = line.points as Vec3[];
    const even = resample(line.closed ? [...points, points[0]] : points, 1);
    const smooth = smoothWay(line.closed ? even.slice(0, -1) : even, !!line.closed, 3);
    return withLine(now, i, {
      ...(line.closed ? { closed: true } : {}),
      points: thinWay(smooth, 1).map(toCentimetres),
    });
  }, course);
}

/** Changes the points of one line; its being closed stays. */
function changePoints(
  course: Course,
  line: number,
  change: (points: readonly Vec3[]) => readonly Vec3[],
): Course {
  const before = sketchLines(course.sketch)[line];
  if (!before) return course;
  return withLine(course, line, {
    ...(before.closed ? { closed: true } : {}),
    points: change(before.points as Vec3[]).map(toCentimetres),
  });
}

/** Draws a line on by a point, or begins the route with it. */
export const addSketchPoint = (course: Course, line: number, place: Vec3): Course =>
  line === 0 && !course.sketch
    ? withSketch(course, { ...noSketch, points: [toCentimetres(place)] })
    : changePoints(course, line, (points) => [...points, place]);

/** Moves a point of the sketch. */
export const moveSketchPoint = (course: Course, { line, index }: SketchPoint, to: Vec3): Course =>
  placeOfPoint(course.sketch, { line, index })
    ? changePoints(course, line, (points) => points.map((p, i) => (i === index ? to : p)))
    : course;

/** Raises a point of the sketch by metres. */
export function raiseSketchPoint(course: Course, point: SketchPoint, by: number): Course {
  const p = placeOfPoint(course.sketch, point);
  return p ? moveSketchPoint(course, point, [p[0], p[1] + by, p[2]]) : course;
}

/** Takes a point of the sketch away; a branch that has but one left is gone. */
export const removeSketchPoint = (course: Course, { line, index }: SketchPoint): Course =>
  changePoints(course, line, (points) => points.filter((_, i) => i !== index));

/** Takes a branch away; the route itself is 0, and cleared with all that hangs on it. */
export function removeSketchLine(course: Course, line: number): Course {
  return line === 0 ? clearSketch(course) : withLine(course, line, { points: [] });
}

/** Takes what was drawn away; notes and the picture stay. */
export function clearSketch(course: Course): Course {
  const { sketch } = course;
  if (!sketch) return course;
  const { closed: _, branches: __, ...rest } = sketch;
  return withSketch(course, { ...rest, points: [] });
}

export const closeSketch = (course: Course, closed: boolean): Course =>
  course.sketch ? withSketch(course, { ...course.sketch, closed }) : course;

/** How strongly the drawn lines are shown while building, 0 to 1. */
export const setSketchShown = (course: Course, shown: number): Course =>
  withSketch(course, { ...(course.sketch ?? noSketch), shown });
