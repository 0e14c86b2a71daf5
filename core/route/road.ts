import type { Course } from '../course';
import { distance, type Vec3 } from '../geometry';
import { DEFAULT_GRAVITY, runnerOf } from '../run';
import { Ground, PITCH } from './ground';
import { marksOf } from './profile';

/** Places looked at for one stretch before it is taken to be straight. */
const MOST_PLACES = 12_000;
/** How far from a mark one may stand to be at it, over the map and upwards, m. */
const [BESIDE, OVER] = [1.6, 2.6];
/** Deepest fall that is a way on, m. */
const DEEP = 8;
/** Steps of a level walk that need no jump, m. */
const STEP = 0.35;
/** What a round foot and the grace of an edge add to a jump, m. */
const OVERHANG = 0.6;
/** Part of what a jump or a fall could reach that a way counts on. */
const SURE = 0.9;
/** Ways out of a place over the grid: the eight beside it, and eight between those for jumps. */
const BESIDES = [
  [1, 0],
  [1, 1],
  [0, 1],
  [-1, 1],
  [-1, 0],
  [-1, -1],
  [0, -1],
  [1, -1],
] as const;
const BETWEENS = [
  [2, 1],
  [1, 2],
  [-1, 2],
  [-2, 1],
  [-2, -1],
  [-1, -2],
  [1, -2],
  [2, -1],
] as const;

/** How far and how high a runner gets off the ground. */
interface Reach {
  readonly up: number;
  /** Metres over the map to a place so much higher; below 0 where there is none. */
  readonly far: (rise: number) => number;
}

/** What a course's runner reaches by one jump from full speed, or by driving off an edge. */
function reachOf(course: Pick<Course, 'runner' | 'gravity'>): Reach {
  const runner = runnerOf(course.runner);
  const g = course.gravity ?? DEFAULT_GRAVITY;
  const up = runner.walks ? runner.jumpHeight : 0;
  const vy = Math.sqrt(2 * g * up);
  return {
    up: Math.max(up, STEP),
    far: (rise) => {
      const square = vy * vy - 2 * g * rise;
      if (square < 0) return -1;
      return SURE * ((runner.topSpeed * (vy + Math.sqrt(square))) / g + OVERHANG);
    },
  };
}

/** A place on the grid as the search knows it, with which of the heights over it is meant. */
interface Node {
  readonly i: number;
  readonly k: number;
  readonly h: number;
  readonly y: number;
  readonly cost: number;
  readonly before: Node | null;
}

/** Most heights over one place that are told apart, and places to either side that are. */
const [HEIGHTS, SPAN] = [64, 8192];
/** A number of its own for each place and height. */
const keyOf = ({ i, k, h }: Pick<Node, 'i' | 'k' | 'h'>): number =>
  ((i + SPAN) * 2 * SPAN + k + SPAN) * HEIGHTS + Math.min(h, HEIGHTS - 1);

const placeOf = ({ i, k, y }: Node): Vec3 => [i * PITCH, y, k * PITCH];

/** The ways from mark to mark, one for each leg. */
export interface Roads {
  readonly legs: readonly (readonly Vec3[])[];
  /** A way was found for every stretch; else some are straight, over whatever lies between. */
  readonly whole: boolean;
}

/**
 * The shortest ways from mark to mark over what a course's runner can stand on, by steps, jumps and falls it can
 * take (A*; Hart, Nilsson and Raphael, 1968). A stretch for which there is none, or that is not found soon enough, is
 * straight. Walls thinner than the grid are not seen.
 */
export function roadsOf(course: Course): Roads {
  const ground = new Ground(course);
  const reach = reachOf(course);
  let whole = true;
  const legs = marksOf(course).map((marks) => {
    const way: Vec3[] = marks.slice(0, 1);
    for (let i = 1; i < marks.length; i++) {
      const stretch = search(ground, reach, marks[i - 1], marks[i]);
      if (!stretch) whole = false;
      way.push(...(stretch ? straightened(ground, stretch).slice(1, -1) : []), marks[i]);
    }
    return way;
  });
  return { legs, whole };
}

function search(ground: Ground, reach: Reach, from: Vec3, to: Vec3): Vec3[] | null {
  const best = new Map<number, number>();
  const open = new Heap<Node>();
  const left = ({ i, k, y }: Pick<Node, 'i' | 'k' | 'y'>) =>
    Math.max(0, distance([i * PITCH, y, k * PITCH], to) - BESIDE);
  const offer = (node: Node) => {
    const key = keyOf(node);
    if ((best.get(key) ?? Infinity) <= node.cost + 1e-9) return;
    best.set(key, node.cost);
    open.push(node.cost + left(node), node);
  };
  for (const [di, dk] of [[0, 0], ...BESIDES]) {
    const [i, k] = [Math.round(from[0] / PITCH) + di, Math.round(from[2] / PITCH) + dk];
    for (const [h, y] of ground.at(i, k).entries()) {
      const cost = distance([i * PITCH, y, k * PITCH], from);
      if (Math.abs(y - from[1]) < OVER) offer({ i, k, h, y, cost, before: null });
    }
  }
  for (let looked = 0; looked < MOST_PLACES; looked++) {
    const node = open.pop();
    if (!node) return null;
    const [x, y, z] = placeOf(node);
    const near = (x - to[0]) * (x - to[0]) + (z - to[2]) * (z - to[2]) <= BESIDE * BESIDE;
    if (near && Math.abs(y - to[1]) <= OVER) return traced(node, from, to);
    // One come to by a shorter way since was left already.
    if (node.cost <= best.get(keyOf(node))! + 1e-9) leave(ground, reach, node, offer);
  }
  return null;
}

/** Offers all places that can be come to from one: beside it, or over a gap in a straight line. */
function leave(ground: Ground, reach: Reach, node: Node, offer: (next: Node) => void): void {
  const { i, k, y, cost } = node;
  const land = (di: number, dk: number): boolean => {
    const flat = PITCH * Math.sqrt(di * di + dk * dk);
    let walked = false;
    const tops = ground.at(i + di, k + dk);
    for (let h = 0; h < tops.length; h++) {
      const rise = tops[h] - y;
      if (rise > reach.up || rise < -DEEP || flat > Math.max(2 * PITCH, reach.far(rise))) continue;
      const next = cost + Math.sqrt(flat * flat + rise * rise);
      offer({ i: i + di, k: k + dk, h, y: tops[h], cost: next, before: node });
      walked ||= rise > -STEP && rise < STEP;
    }
    return walked;
  };
  for (const [di, dk] of BESIDES) if (!land(di, dk)) leap(di, dk);
  for (const [di, dk] of BETWEENS) leap(di, dk);

  /** Whether what stands there is too high to be hopped over: nobody hops through it. */
  function barred(di: number, dk: number): boolean {
    return ground.bars(i + Math.round(di), k + Math.round(dk), y + reach.up, y + reach.up);
  }

  /** Goes on over a gap until there is something to land on that is no lower than a step, or no way so far. */
  function leap(di: number, dk: number): void {
    const flat = PITCH * Math.sqrt(di * di + dk * dk);
    if (barred(di / 2, dk / 2)) return;
    for (let n = 2; n * flat <= reach.far(-DEEP); n++) {
      if (barred((n - 1) * di, (n - 1) * dk) || barred((n - 0.5) * di, (n - 0.5) * dk)) return;
      if (land(n * di, n * dk)) return;
    }
  }
}

function traced(node: Node, from: Vec3, to: Vec3): Vec3[] {
  const way: Vec3[] = [to];
  for (let at: Node | null = node; at; at = at.before) way.push(placeOf(at));
  way.push(from);
  return way.reverse();
}

/** The way with the grid's corners cut where one may walk straight. */
function straightened(ground: Ground, way: readonly Vec3[]): Vec3[] {
  const out: Vec3[] = [way[0]];
  for (let i = 0; i < way.length - 1;) {
    let next = i + 1;
    while (next + 1 < way.length && next - i < 24 && canWalk(ground, way[i], way[next + 1])) next++;
    out.push(way[next]);
    i = next;
  }
  return out;
}

/** Whether the ground lies all along a line, no further from it than a step. */
function canWalk(ground: Ground, a: Vec3, b: Vec3): boolean {
  const [dx, dy, dz] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
  const steps = Math.ceil(Math.sqrt(dx * dx + dz * dz) / PITCH);
  for (let n = 1; n < steps; n++) {
    const t = n / steps;
    const heights = ground.at(
      Math.round((a[0] + dx * t) / PITCH),
      Math.round((a[2] + dz * t) / PITCH),
    );
    if (!heights.some((y) => Math.abs(y - a[1] - dy * t) < STEP)) return false;
  }
  return true;
}

/** A binary heap: the least first. */
class Heap<T> {
  private readonly keys: number[] = [];
  private readonly items: T[] = [];

  push(key: number, item: T): void {
    const { keys, items } = this;
    let at = keys.length;
    for (; at > 0; at = (at - 1) >> 1) {
      const up = (at - 1) >> 1;
      if (keys[up] <= key) break;
      keys[at] = keys[up];
      items[at] = items[up];
    }
    keys[at] = key;
    items[at] = item;
  }

  pop(): T | undefined {
    const { keys, items } = this;
    const [first] = items;
    const key = keys.pop();
    const item = items.pop();
    if (key === undefined || item === undefined || keys.length === 0) return first;
    let at = 0;
    for (;;) {
      let down = 2 * at + 1;
      if (down >= keys.length) break;
      if (down + 1 < keys.length && keys[down + 1] < keys[down]) down++;
      if (keys[down] >= key) break;
      keys[at] = keys[down];
      items[at] = items[down];
      at = down;
    }
    keys[at] = key;
    items[at] = item;
    return first;
  }
}
