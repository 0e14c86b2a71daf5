import type { Course } from '../course';
import { movePieces } from '../edit';
import type { Vec3 } from '../geometry';
import { TICKS_PER_SECOND } from '../motion';
import type { World } from '../run';
import type { BeatHit } from './beat';
import type { RunTrace } from './trace';

/** Pieces that are moved together so that a landing falls on its beat. */
export interface BeatShift {
  readonly pieces: readonly string[];
  /** m in the world, level. */
  readonly by: Vec3;
}

/** A foot so near to a piece's box stands on it, m. */
const ON = 0.15;
/** What lies so near to the way goes along with it, m. */
const BESIDE = 6;
/** Ticks before a landing by which its speed is told. */
const BEFORE = 6;
/** Less than this nobody would hear, m. */
const LEAST = 0.005;

/** A stretch of a run from the middle of one flight to the middle of the next, ticks. */
interface Section {
  readonly from: number;
  readonly to: number;
  readonly by: Vec3;
}

/**
 * How pieces have to be moved so that each landing of a run falls on the beat nearest to it. A place reached so
 * much later is reached that much later: all that is gone over between two flights moves along the way by its speed
 * at the landing times how early that was. What is before the first landing stays, and so does what is stood on
 * before and after a flight; what lies beside the way goes with the nearest part of it.
 *
 * @param course the course as it was run
 * @param world the course made ready
 * @param trace what the run left
 * @param hits its jumps and landings against the beat
 */
export function beatShifts(
  course: Course,
  world: World,
  trace: RunTrace,
  hits: readonly BeatHit[],
): BeatShift[] {
  const sections = sectionsOf(trace, hits);
  const groups: string[][] = sections.map(() => []);
  const boxes = boxesOf(world);
  const stretches = stretchesOf(trace.path);
  course.pieces.forEach((piece, place) => {
    if (piece.locked || piece.family === 'start') return;
    const section = sectionOf(trace, sections, stretches, boxes[place], piece.at);
    if (section >= 0) groups[section].push(piece.id);
  });
  return sections.flatMap(({ by }, i) =>
    Math.hypot(...by) < LEAST || groups[i].length === 0 ? [] : [{ pieces: groups[i], by }],
  );
}

/** The course with its pieces moved onto the beat. */
export const shiftOntoBeat = (course: Course, shifts: readonly BeatShift[]): Course =>
  shifts.reduce((moved, { pieces, by }) => movePieces(moved, new Set(pieces), by), course);

function sectionsOf({ path, ground }: RunTrace, hits: readonly BeatHit[]): Section[] {
  const landings = hits.filter(({ kind }) => kind === 'land');
  /** The middle of the flight that ends at a tick. */
  const middle = (tick: number) => {
    let off = tick - 1;
    while (off > 0 && ground[off] === 0) off--;
    return (off + tick) >> 1;
  };
  return landings.map(({ tick, late }, i) => {
    const was = Math.max(0, tick - BEFORE);
    const speed = (axis: number) =>
      ((path[3 * tick + axis] - path[3 * was + axis]) * TICKS_PER_SECOND) / (tick - was);
    return {
      from: middle(tick),
      to: i + 1 < landings.length ? middle(landings[i + 1].tick) : ground.length,
      by: [-late * speed(0), 0, -late * speed(2)],
    };
  });
}

interface Box {
  readonly low: number[];
  readonly high: number[];
}

/** The box about what can be touched of each piece, over all it does; none of what cannot. */
function boxesOf(world: World): (Box | undefined)[] {
  const boxes: (Box | undefined)[] = [];
  for (const { piece, low, high } of world.colliders) {
    const box = (boxes[piece] ??= {
      low: [Infinity, Infinity, Infinity],
      high: [-Infinity, -Infinity, -Infinity],
    });
    for (let axis = 0; axis < 3; axis++) {
      box.low[axis] = Math.min(box.low[axis], low[axis]);
      box.high[axis] = Math.max(box.high[axis], high[axis]);
    }
  }
  return boxes;
}

/** A stretch of the way with the box about it. */
interface Stretch extends Box {
  readonly from: number;
  readonly to: number;
}

/** Ticks of a stretch. */
const STRETCH = 96;

/** The way in stretches: most of a course is far from most of them. */
function stretchesOf(path: Float64Array): Stretch[] {
  const count = path.length / 3;
  return Array.from({ length: Math.ceil(count / STRETCH) }, (_, i): Stretch => {
    const [from, to] = [i * STRETCH, Math.min(count, (i + 1) * STRETCH)];
    const low = [Infinity, Infinity, Infinity];
    const high = [-Infinity, -Infinity, -Infinity];
    for (let k = 3 * from; k < 3 * to; k++) {
      low[k % 3] = Math.min(low[k % 3], path[k]);
      high[k % 3] = Math.max(high[k % 3], path[k]);
    }
    return { from, to, low, high };
  });
}

/** The section a piece belongs to: where it is stood on, else the nearest; -1 where it stays. */
function sectionOf(
  { path, ground }: RunTrace,
  sections: readonly Section[],
  stretches: readonly Stretch[],
  box: Box | undefined,
  at: Readonly<Vec3>,
): number {
  const stood = new Set<number>();
  const place: Box = { low: [...at], high: [...at] };
  let [nearest, best] = [-1, BESIDE];
  let section = -1;
  for (const stretch of stretches) {
    const touched = box !== undefined && apart(stretch, box) < ON;
    const near = apart(stretch, place) < best;
    while (section + 1 < sections.length && sections[section + 1].from <= stretch.from) section++;
    if (!touched && !near) continue;
    let here = section;
    for (let tick = stretch.from; tick < stretch.to; tick++) {
      while (here + 1 < sections.length && tick >= sections[here + 1].from) here++;
      const i = 3 * tick;
      if (touched && ground[tick] === 1 && within(box, path[i], path[i + 1], path[i + 2])) {
        stood.add(here);
      }
      const far = Math.hypot(path[i] - at[0], path[i + 1] - at[1], path[i + 2] - at[2]);
      if (far < best) [nearest, best] = [here, far];
    }
  }
  if (stood.size > 1) return -1;
  return stood.size === 1 ? [...stood][0] : nearest;
}

/** The widest gap between two boxes along an axis, m; they are at least so far apart. */
const apart = (a: Box, b: Box): number =>
  Math.max(
    ...[0, 1, 2].map((axis) => Math.max(b.low[axis] - a.high[axis], a.low[axis] - b.high[axis])),
  );

const within = ({ low, high }: Box, x: number, y: number, z: number): boolean =>
  x > low[0] - ON &&
  x < high[0] + ON &&
  y > low[1] - ON &&
  y < high[1] + ON &&
  z > low[2] - ON &&
  z < high[2] + ON;
