import { PITCH, headingAt, type Target } from './target';
import { cosDeg, shortestAngle, sinDeg } from '../../geometry';
import { samplesOf, stepEnd, stepLength, type Pose, type Step } from './ways';

/** A way that has come so far along the line. */
export interface Way {
  readonly pose: Pose;
  /** Place of the line it has come to. */
  readonly at: number;
  /** Squared deviation over metres, and what its pieces cost. */
  readonly cost: number;
  /** Degrees turned in all. */
  readonly turned: number;
  readonly pieces: number;
  readonly step: Step | null;
  readonly from: Way | null;
}

const LENGTHS = [1, 2, 4, 8] as const;
const TURNS = [15, 22.5, 30, 45, 90] as const;
const RADII = [3, 4.5, 6, 9, 13, 20] as const;
/** What one more piece costs against square metres of deviation. */
const A_PIECE = 0.12;
/** Ways kept at every place of the line. */
const BREADTH = 36;
/** Metres between the places of a piece that are held against the line. */
const SAMPLE = 0.8;

interface Move {
  readonly step: Step;
  readonly end: ReturnType<typeof stepEnd>;
  /** Places along it: ahead and to the right, one after the other. */
  readonly samples: Float64Array;
  readonly pace: number;
}

function movesFor(tightest: number): Move[] {
  const steps: Step[] = LENGTHS.map((length) => ({ kind: 'straight', length }));
  for (const radius of RADII) {
    if (radius < tightest) continue;
    for (const turn of TURNS) {
      for (const side of [1, -1]) steps.push({ kind: 'bend', radius, turn: side * turn });
    }
  }
  return steps.map((step) => {
    const samples = samplesOf(step, SAMPLE);
    return {
      step,
      end: stepEnd(step),
      samples: Float64Array.from(samples.flat()),
      pace: stepLength(step) / samples.length,
    };
  });
}

/**
 * Follows a line with pieces of track: at every place of the line the best ways to have come there are
 * kept and go on with every piece (beam search; Lowerre, 1976).
 * @param target the line that is followed
 * @param tightest least radius of a bend, m
 * @param limit greatest deviation any place of a piece may have, m
 * @param progress told the part that is done, 0 to 1
 * @param from where and with which heading the ways begin; about the line's own beginning when it is not said
 * @returns every way kept that has come to the line's end
 */
export function followLine(
  target: Target,
  tightest: number,
  limit: number,
  progress?: (part: number) => void,
  from?: Pose,
): Way[] {
  const moves = movesFor(tightest);
  const total = target.x.length;
  const buckets: (Map<string, Way> | undefined)[] = Array.from({ length: total });
  const heading = from?.heading ?? Math.round(headingAt(target, 0) * 2) / 2;
  const starts = from ? [0] : target.closed ? [0, 5, -5, 10, -10] : [0, 5, -5, 10, -10, 20, -20];
  buckets[0] = new Map(
    starts.map((off) => [
      `${off}`,
      {
        pose: { x: from?.x ?? target.x[0], z: from?.z ?? target.z[0], heading: heading + off },
        at: 0,
        cost: Math.abs(off) * 0.01,
        turned: 0,
        pieces: 0,
        step: null,
        from: null,
      },
    ]),
  );
  const ended: Way[] = [];
  const headings = Float64Array.from(target.x, (_, i) => headingAt(target, i));
  const window = Math.round(4 / PITCH);
  for (let at = 0; at < total; at++) {
    const bucket = buckets[at];
    if (!bucket) continue;
    buckets[at] = undefined;
    const kept = [...bucket.values()].sort((a, b) => a.cost - b.cost).slice(0, BREADTH);
    if (target.closed ? at > target.count - window : at >= target.count - 2) {
      ended.push(...kept);
      if (!target.closed) continue;
    }
    for (const way of kept) {
      const { heading } = way.pose;
      const facing = { c: cosDeg(heading), n: sinDeg(heading) };
      for (const move of moves) {
        const on = goOn(target, headings, way, facing, move, limit);
        if (!on || on.at <= at) continue;
        const key = `${Math.round(on.pose.heading / 7.5)} ${Math.round(aside(target, on) / 0.35)}`;
        const there = (buckets[on.at] ??= new Map());
        const known = there.get(key);
        if (!known || on.cost < known.cost) there.set(key, on);
      }
    }
    if (progress && at % 16 === 0) progress(at / total);
  }
  return ended;
}

/** Metres by which a way stands to the right of the line where it has come to. */
function aside({ x, z, tx, tz }: Target, { pose, at }: Way): number {
  return (pose.z - z[at]) * tx[at] - (pose.x - x[at]) * tz[at];
}

/** @param facing cosine and sine of the way's heading: taken once for all moves */
function goOn(
  target: Target,
  headings: Float64Array,
  way: Way,
  { c, n }: { readonly c: number; readonly n: number },
  move: Move,
  limit: number,
): Way | null {
  const { x, z, tx, tz } = target;
  const { samples, pace } = move;
  const { pose } = way;
  const last = x.length - 1;
  const furthest = 4 * limit * limit;
  let at = way.at;
  let cost = way.cost + A_PIECE;
  let px = pose.x;
  let pz = pose.z;
  for (let i = 0; i < samples.length; i += 2) {
    px = pose.x + samples[i] * c + samples[i + 1] * n;
    pz = pose.z - samples[i] * n + samples[i + 1] * c;
    let dx = px - x[at];
    let dz = pz - z[at];
    let best = dx * dx + dz * dz;
    while (at < last) {
      const nx = px - x[at + 1];
      const nz = pz - z[at + 1];
      const next = nx * nx + nz * nz;
      if (next > best) break;
      best = next;
      dx = nx;
      dz = nz;
      at++;
    }
    // At the end of a line the places beyond it are as far off as they are.
    const off = at === last ? Math.sqrt(best) : Math.abs(dx * tz[at] - dz * tx[at]);
    if (off > limit || best > furthest) return null;
    cost += off * off * pace;
  }
  const heading = pose.heading + move.end.turn;
  const askew = Math.abs(shortestAngle(heading - headings[at]));
  if (askew > 60) return null;
  return {
    pose: { x: px, z: pz, heading },
    at,
    cost: cost + (askew * askew) / 4000,
    turned: way.turned + move.end.turn,
    pieces: way.pieces + 1,
    step: move.step,
    from: way,
  };
}

/** The steps of a way from its beginning, with the places of the line they end at, and where it began. */
export function stepsOf(way: Way): { start: Pose; steps: Step[]; ends: number[] } {
  const steps: Step[] = [];
  const ends: number[] = [];
  let at: Way = way;
  while (at.from && at.step) {
    steps.push(at.step);
    ends.push(at.at);
    at = at.from;
  }
  return { start: at.pose, steps: steps.reverse(), ends: ends.reverse() };
}
