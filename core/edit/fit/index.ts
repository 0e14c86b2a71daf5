import { shortestAngle, type Vec3 } from '../../geometry';
import { familyOf } from '../../pieces';
import { endsOf, joinTo } from '../snap/connectors';
import type { PieceInHand } from '../pieces/lay';
import { roundToStored, wrapTurn } from '../pieces/place';
import { wayLengthOf } from '../draw/sketch';
import { endAbreast, leadTo } from './close';
import { followLine, stepsOf, type Way } from './search';
import type { Fit, FitWish } from './wish';
import { PITCH, toTarget, type Target } from './target';
import { afterStep, fromPose, samplesOf, stepLength, type Pose, type Step } from './ways';

export { raceOn } from './raceOn';
export { chainOf, stretchWish } from './stretch';
export type { Fit, FitEnd, FitWish } from './wish';

/** Longest line that is followed, m. */
export const LONGEST_LINE = 1500;

/**
 * Finds the pieces of track that follow a drawn line best, end to end. A closed line becomes a round
 * that closes exactly.
 * @param progress told the part that is done, 0 to 1
 * @throws RangeError in words when the line is too short, too long, or winds too tightly to follow
 */
export function fitTrack(wish: FitWish, progress?: (part: number) => void): Fit {
  const length = wayLengthOf(wish.points, wish.closed);
  if (wish.points.length < 2 || length < 6) {
    throw new RangeError('The line is too short for a track: draw at least 6 m.');
  }
  if (length > LONGEST_LINE) {
    throw new RangeError(
      `The line is ${Math.round(length)} m long; at most ${LONGEST_LINE} m are followed.`,
    );
  }
  const target = toTarget(wish.points, wish.closed);
  // Tried as narrow as asked first, and wider where the line bends more than pieces can.
  const limits = [wish.tolerance, wish.tolerance * 1.6, Math.max(wish.width, wish.tolerance * 2.4)];
  for (const [i, limit] of limits.entries()) {
    const ways = followLine(
      target,
      leastRadius(wish),
      limit,
      (part) => progress?.((i + part) / limits.length),
      wish.from,
    );
    const found = bestOf(target, ways, wish);
    if (found) {
      progress?.(1);
      return found;
    }
  }
  throw new RangeError(
    `No track ${wish.width} m wide can follow this line: it turns too tightly. Smooth it or draw it larger.`,
  );
}

/** The inner kerb keeps a radius of its own. */
const leastRadius = ({ width, tightest = 0 }: FitWish): number =>
  Math.max(width / 2 + 0.4, tightest);

/** Ways looked at more closely. */
const FINALISTS = 60;

function bestOf(target: Target, ways: readonly Way[], wish: FitWish): Fit | null {
  const turning = Math.round(target.turning / 360) * 360;
  const { to } = wish;
  // A track that is joined at its end has to come there with its heading.
  const askew = (a: number, b: number) => Math.abs(shortestAngle(a - b));
  const fitting = target.closed
    ? ways.filter(({ turned, pose, at }) => {
        if (Math.abs(turned - turning) > 1e-6) return false;
        const k = at % target.count;
        return (
          Math.hypot(pose.x - target.x[0], pose.z - target.z[0]) < 6 &&
          (k < 15 || k > target.count - 15)
        );
      })
    : to
      ? ways.filter(({ pose }) => askew(pose.heading, to.heading) < 1e-6)
      : ways;
  let best: Fit | null = null;
  let least = Infinity;
  for (const way of [...fitting].sort((a, b) => a.cost - b.cost).slice(0, FINALISTS)) {
    const { start, steps, ends } = stepsOf(way);
    const goal = target.closed ? start : to;
    const settled = goal
      ? leadTo(goal, start, steps, leastRadius(wish))
      : endAbreast(start, steps, target.x[target.count - 1], target.z[target.count - 1]);
    if (!settled) continue;
    const { deviation, at } = deviationOf(target, start, settled);
    const worth = deviation + 0.01 * settled.length;
    if (worth >= least) continue;
    least = worth;
    best = {
      pieces: toPieces(target, start, settled, ends, wish),
      deviation,
      at,
      closed: target.closed,
      length: settled.reduce((sum, step) => sum + stepLength(step), 0),
    };
  }
  return best;
}

/** The greatest distance from the track to the line and from the line to the track. */
function deviationOf(
  target: Target,
  start: Pose,
  steps: readonly Step[],
): { deviation: number; at: Vec3 } {
  const track: [number, number][] = [[start.x, start.z]];
  let pose = start;
  for (const step of steps) {
    for (const [ahead, right] of samplesOf(step, PITCH)) {
      track.push([...fromPose(pose, ahead, right)]);
    }
    pose = afterStep(pose, step);
  }
  const line = Array.from({ length: target.count }, (_, i): [number, number] => [
    target.x[i],
    target.z[i],
  ]);
  let deviation = 0;
  let at: Vec3 = [start.x, 0, start.z];
  const hold = (from: readonly [number, number][], to: readonly [number, number][]) =>
    from.forEach((p, i) => {
      // The nearest place about as far along, so that a crossing does not stand for it.
      const middle = Math.round((i / from.length) * to.length);
      const reach = Math.max(25, Math.round(to.length * 0.12));
      let nearest = Infinity;
      for (let k = -reach; k <= reach; k++) {
        const j = target.closed ? (((middle + k) % to.length) + to.length) % to.length : middle + k;
        if (j < 0 || j >= to.length) continue;
        nearest = Math.min(nearest, distanceToLine(p, to, j, target.closed));
      }
      if (nearest > deviation) {
        deviation = nearest;
        at = [p[0], 0, p[1]];
      }
    });
  hold(track, line);
  hold(line, track);
  return { deviation, at };
}

function distanceToLine(
  [px, pz]: readonly [number, number],
  line: readonly [number, number][],
  i: number,
  closed: boolean,
): number {
  const a = line[i];
  const b = line[i + 1] ?? (closed ? line[0] : a);
  const [dx, dz] = [b[0] - a[0], b[1] - a[1]];
  const square = dx * dx + dz * dz;
  const k =
    square === 0 ? 0 : Math.min(1, Math.max(0, ((px - a[0]) * dx + (pz - a[1]) * dz) / square));
  return Math.hypot(a[0] + dx * k - px, a[1] + dz * k - pz);
}

/** Rises under this are none, m. */
const FLAT = 0.03;

function toPieces(
  target: Target,
  start: Pose,
  steps: readonly Step[],
  ends: readonly number[],
  { width, bends = 'bend', from, to }: FitWish,
): PieceInHand[] {
  const heightAt = (i: number) => target.y[Math.min(i, target.y.length - 1)];
  const begin = from?.y ?? Math.round(target.y[0] * 100) / 100;
  let pose = start;
  let y = begin;
  const loose = steps.map((step, i): PieceInHand => {
    const last = i === steps.length - 1;
    const bound = last ? (target.closed ? begin : to?.y) : undefined;
    let rise = roundToStored((bound ?? Math.round(heightAt(ends[i]) * 100) / 100) - y);
    if (Math.abs(rise) < FLAT && bound === undefined) rise = 0;
    const at: [number, number, number] = [
      roundToStored(pose.x),
      roundToStored(y),
      roundToStored(pose.z),
    ];
    y = roundToStored(y + rise);
    const heading = wrapTurn(pose.heading);
    pose = afterStep(pose, step);
    const family = step.kind === 'straight' ? 'straight' : bends;
    const params = unusual(
      family,
      step.kind === 'straight'
        ? { length: roundToStored(step.length), rise, width }
        : {
            turn: Math.abs(step.turn),
            radius: roundToStored(step.radius),
            side: step.turn < 0 ? 'right' : 'left',
            rise,
            width,
          },
    );
    return {
      family,
      at,
      ...(heading !== 0 ? { turn: [0, heading, 0] as [number, number, number] } : {}),
      ...(Object.keys(params).length > 0 ? { params } : {}),
    };
  });
  // Each is joined to the one before as it is kept, so that what is joined can be told again exactly.
  const joined: PieceInHand[] = [];
  for (const piece of loose) {
    const before = joined[joined.length - 1];
    joined.push(before ? joinTo(piece, 0, endsOf({ ...before, id: 'before' })[1]) : piece);
  }
  return joined;
}

/** Those settings that are not as the family has them anyway. */
const unusual = (
  family: string,
  settings: Record<string, number | string>,
): Record<string, number | string> =>
  Object.fromEntries(
    familyOf(family).params.flatMap(({ key, initial }) =>
      settings[key] === undefined || settings[key] === initial ? [] : [[key, settings[key]]],
    ),
  );
