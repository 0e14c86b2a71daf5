import { PUT } from './trace';

/** Another run at a place along the way of the one that is looked at; null where it was nowhere near. */
export interface BesidePoint {
  /** Metres along the way of the run that is looked at. */
  readonly along: number;
  /** Its tick there. */
  readonly tick: number;
  /** By how much it came later than the other, s. */
  readonly gap: number | null;
  /** How fast the other was there, m/s. */
  readonly speed: number | null;
  /** How high the other's foot was there, m. */
  readonly height: number | null;
}

/** Metres between the places at which runs are held against each other. */
const EVERY = 0.5;
/** A run within this of a place came by there, m. */
const NEAR = 3;
/** Where the other ended it was only within this, m. */
const AT_END = 0.1;
/** How far ahead of where it last was the other run is looked for, ticks. */
const AHEAD = 600;

/** Metres gone by each tick, the start first; being put somewhere else is no way. */
export function wayAlong(path: Float64Array): Float64Array {
  const along = new Float64Array(path.length / 3);
  for (let i = 1; i < along.length; i++) {
    const step = between(path, i - 1, path, i);
    along[i] = along[i - 1] + (step < PUT ? step : 0);
  }
  return along;
}

/**
 * Another run's way, followed from place to place. It never goes back: the other came by where it was nearest
 * within the next five seconds of its own time.
 */
export class Follower {
  /** The other's tick where it was last found. */
  at = 0;
  private readonly last: number;

  /** @param path foot places of the other run, x y z a tick, m */
  constructor(private readonly path: Float64Array) {
    this.last = path.length / 3 - 1;
  }

  /**
   * The other's tick at a place, or null where it was nowhere near.
   * @param x of the place, m
   * @param y of the place, m
   * @param z of the place, m
   */
  tickAt(x: number, y: number, z: number): number | null {
    const { path, last } = this;
    let best = Infinity;
    let nearest = this.at;
    for (let k = this.at; k <= Math.min(last, this.at + AHEAD); k++) {
      const [dx, dy, dz] = [path[3 * k] - x, path[3 * k + 1] - y, path[3 * k + 2] - z];
      const away = Math.sqrt(dx * dx + dy * dy + dz * dz);
      // Of places alike the first: one that waits was there when it came.
      if (away < best - 1e-9) {
        best = away;
        nearest = k;
      }
    }
    // Past where the other ended it never came by.
    if (best > (nearest === last ? AT_END : NEAR)) return null;
    this.at = nearest;
    return nearest;
  }
}

/**
 * Another run, place by place along the way of the one that is looked at.
 *
 * @param path - foot places of the run that is looked at, x y z a tick, m
 * @param other - those of the run it is held against, and its speed at each, m/s
 * @param ticks - how many there are in a second
 */
export function besideAlong(
  path: Float64Array,
  other: { readonly path: Float64Array; readonly speed: ArrayLike<number> },
  ticks: number,
): BesidePoint[] {
  const ways = wayAlong(path);
  const points: BesidePoint[] = [];
  const follower = new Follower(other.path);
  let due = 0;
  for (let tick = 0; tick < ways.length; tick++) {
    const along = ways[tick];
    if (along < due && tick < ways.length - 1) continue;
    due = along + EVERY;
    const there = follower.tickAt(path[3 * tick], path[3 * tick + 1], path[3 * tick + 2]);
    points.push(
      there === null
        ? { along, tick, gap: null, speed: null, height: null }
        : {
            along,
            tick,
            gap: (tick - there) / ticks,
            speed: other.speed[there],
            height: other.path[3 * there + 1],
          },
    );
  }
  return points;
}

function between(a: Float64Array, i: number, b: Float64Array, k: number): number {
  const [dx, dy, dz] = [
    a[3 * i] - b[3 * k],
    a[3 * i + 1] - b[3 * k + 1],
    a[3 * i + 2] - b[3 * k + 2],
  ];
  return Math.sqrt(dx * dx + dy * dy + dz * dz);
}
