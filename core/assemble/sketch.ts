import type { Course, Sketch } from '../course';
import { crossingOf, distance, lerp, type Vec2, type Vec3 } from '../geometry';
import { tidy } from './place';

/** Metres between points of a drawn stroke that are kept. */
const PITCH = 0.5;
/** Ends of a stroke nearer than this close it into a round, m. */
const CLOSES = 2;

const to2 = (v: number): number => Math.round(v * 100) / 100;

/** A stroke as a sketch keeps it: evenly spaced, smoothed once, closed where its ends meet. */
export function toSketch(stroke: readonly Vec3[]): Pick<Sketch, 'points' | 'closed'> {
  const points = smoothWay(resample(stroke, PITCH), false, 2);
  const length = wayLengthOf(points);
  const closed =
    length > 12 && distance(points[0], points[points.length - 1]) < Math.max(CLOSES, length * 0.06);
  return {
    points: thin(points, 1).map(([x, y, z]) => [to2(x), to2(y), to2(z)]),
    ...(closed ? { closed: true } : {}),
  };
}

export const wayLengthOf = (way: readonly Vec3[], closed = false): number =>
  way.reduce((sum, p, i) => (i > 0 ? sum + distance(way[i - 1], p) : sum), 0) +
  (closed && way.length > 1 ? distance(way[way.length - 1], way[0]) : 0);

/** Places along a way at an even pitch in metres, both ends kept. */
export function resample(way: readonly Vec3[], pitch: number): Vec3[] {
  if (way.length === 0) return [];
  const out: Vec3[] = [way[0]];
  let along = 0;
  let next = pitch;
  for (let i = 1; i < way.length; i++) {
    const leg = distance(way[i - 1], way[i]);
    while (leg > 0 && next <= along + leg) {
      out.push(lerp(way[i - 1], way[i], (next - along) / leg));
      next += pitch;
    }
    along += leg;
  }
  const last = way[way.length - 1];
  if (distance(out[out.length - 1], last) > 1e-6) out.push(last);
  return out;
}

/** Draws every place towards the middle of its neighbours, so many times; open ends stay. */
export function smoothWay(way: readonly Vec3[], closed: boolean, rounds: number): Vec3[] {
  let points = [...way];
  for (let round = 0; round < rounds; round++) {
    points = points.map((p, i) => {
      const n = points.length;
      if (!closed && (i === 0 || i === n - 1)) return p;
      const [a, b] = [points[(i + n - 1) % n], points[(i + 1) % n]];
      return [0, 1, 2].map((k) => p[k] / 2 + (a[k] + b[k]) / 4) as unknown as Vec3;
    });
  }
  return points;
}

/** Leaves out places that lie nearly on a line between those kept (Ramer, 1972; Douglas and Peucker, 1973). */
function thin(way: readonly Vec3[], rough: number): Vec3[] {
  const off = (p: Vec3, a: Vec3, b: Vec3): number => {
    const l = distance(a, b);
    if (l === 0) return distance(p, a);
    const k = Math.min(
      1,
      Math.max(0, [0, 1, 2].reduce((sum, i) => sum + (p[i] - a[i]) * (b[i] - a[i]), 0) / (l * l)),
    );
    return distance(p, lerp(a, b, k));
  };
  const keep = new Set([0, way.length - 1]);
  const parts: [number, number][] = [[0, way.length - 1]];
  while (parts.length > 0) {
    const [from, to] = parts.pop()!;
    let worst = rough * 0.06;
    let at = -1;
    for (let i = from + 1; i < to; i++) {
      const d = off(way[i], way[from], way[to]);
      if (d > worst) {
        worst = d;
        at = i;
      }
    }
    if (at > 0) {
      keep.add(at);
      parts.push([from, at], [at, to]);
    }
  }
  return way.filter((_, i) => keep.has(i));
}

const withSketch = (course: Course, sketch: Sketch): Course => ({ ...course, sketch });
const none: Sketch = { points: [] };

/** The course with a stroke drawn as its sketch; another stroke goes on from the end it begins near. */
export function drawSketch(course: Course, stroke: readonly Vec3[]): Course {
  if (stroke.length < 2) return course;
  const before = course.sketch ?? none;
  const [first, last] = [stroke[0], before.points[before.points.length - 1] as Vec3 | undefined];
  const goesOn = last && !before.closed && distance(first, last) < 3;
  const { closed: _, ...rest } = before;
  return withSketch(course, {
    ...rest,
    ...toSketch(goesOn ? [...(before.points as Vec3[]), ...stroke] : stroke),
  });
}

export function smoothSketch(course: Course): Course {
  const { sketch } = course;
  if (!sketch || sketch.points.length < 3) return course;
  const even = resample(
    sketch.closed
      ? [...(sketch.points as Vec3[]), sketch.points[0] as Vec3]
      : (sketch.points as Vec3[]),
    1,
  );
  const smooth = smoothWay(sketch.closed ? even.slice(0, -1) : even, !!sketch.closed, 3);
  return withSketch(course, {
    ...sketch,
    points: thin(smooth, 1).map(([x, y, z]) => [to2(x), to2(y), to2(z)]),
  });
}

/** Moves a point of the sketch, and what is near along it with it, less the further it is. */
export function moveSketchPoint(course: Course, index: number, to: Vec3): Course {
  const { sketch } = course;
  if (!sketch?.points[index]) return course;
  return withSketch(course, {
    ...sketch,
    points: sketch.points.map((p, i) => (i === index ? [to2(to[0]), to2(to[1]), to2(to[2])] : p)),
  });
}

/** Raises a point of the sketch by metres. */
export function raiseSketchPoint(course: Course, index: number, by: number): Course {
  const p = course.sketch?.points[index];
  return p ? moveSketchPoint(course, index, [p[0], p[1] + by, p[2]]) : course;
}

export function removeSketchPoint(course: Course, index: number): Course {
  const { sketch } = course;
  if (!sketch) return course;
  return withSketch(course, { ...sketch, points: sketch.points.filter((_, i) => i !== index) });
}

/** Takes the drawn route away; notes and the picture stay. */
export function clearSketch(course: Course): Course {
  const { sketch } = course;
  if (!sketch) return course;
  const { closed: _, ...rest } = sketch;
  return withSketch(course, { ...rest, points: [] });
}

export const closeSketch = (course: Course, closed: boolean): Course =>
  course.sketch ? withSketch(course, { ...course.sketch, closed }) : course;

/** Pins a note to a place, or takes the note of that number away where there is no text at all. */
export function setNote(course: Course, index: number, at: Vec3, text: string | null): Course {
  const sketch = course.sketch ?? none;
  const notes = [...(sketch.notes ?? [])];
  if (text === null) notes.splice(index, 1);
  else notes[index] = { at: [tidy(at[0]), tidy(at[1]), tidy(at[2])], text: text.slice(0, 120) };
  return withSketch(course, { ...sketch, notes });
}

export const setSketchShown = (course: Course, shown: number): Course =>
  withSketch(course, { ...(course.sketch ?? none), shown });

export function setSketchPicture(course: Course, picture: Sketch['picture'] | null): Course {
  const { picture: _, ...rest } = course.sketch ?? none;
  return withSketch(course, picture ? { ...rest, picture } : (rest as Sketch));
}

/**
 * Sizes the picture by two places on it that are known to be so far apart.
 * @throws RangeError when the places are one, or the length is none
 */
export function scalePicture(course: Course, a: Vec3, b: Vec3, metres: number): Course {
  const picture = course.sketch?.picture;
  if (!picture) return course;
  const now = distance(a, b);
  if (!(metres > 0) || !Number.isFinite(metres))
    throw new RangeError('The length has to be above 0 m.');
  if (now < 0.01) throw new RangeError('Touch two places that lie apart.');
  const k = metres / now;
  const width = picture.width * k;
  if (width < 0.5 || width > 4000)
    throw new RangeError('The picture would be 0.5 to 4000 m wide at most.');
  // The first place stays where it is.
  const at = [0, 1, 2].map((i) => tidy(a[i] + (picture.at[i] - a[i]) * k)) as [
    number,
    number,
    number,
  ];
  return setSketchPicture(course, { ...picture, at, width: tidy(width) });
}

/** How far a bridge is raised over what it crosses, and over how many metres it climbs. */
const OVER = 3.2;
const CLIMB = 13;

/** The places a way crosses itself on the same level: how far along it is for the first and second time. */
export function ownCrossings(way: readonly Vec3[]): [number, number][] {
  const found: [number, number][] = [];
  const plan = way.map((p): Vec2 => [p[0], p[2]]);
  for (let i = 1; i < way.length; i++) {
    for (let j = i + 3; j < way.length; j++) {
      if (i === 1 && j === way.length - 1) continue;
      if (!crossingOf(plan[i - 1], plan[i], plan[j - 1], plan[j])) continue;
      if (Math.abs(way[i][1] - way[j][1]) < OVER * 0.7) found.push([i, j]);
    }
  }
  return found;
}

/** The way raised to a bridge wherever it would cross itself on the level; evenly spaced places. */
export function bridged(way: readonly Vec3[], pitch: number): Vec3[] {
  const out = [...way];
  for (const [, j] of ownCrossings(way)) {
    const reach = Math.round(CLIMB / pitch);
    for (let k = -reach; k <= reach; k++) {
      const p = out[j + k];
      if (!p) continue;
      const part = 1 - Math.abs(k) / reach;
      const up = OVER * Math.min(1, part * part * (3 - 2 * part) * 1.25);
      out[j + k] = [p[0], Math.max(p[1], way[j][1] + up), p[2]];
    }
  }
  return out;
}
