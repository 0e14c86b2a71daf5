import { cosDeg, sinDeg } from '../../geometry';
import { afterStep, stepEnd, fromPose, type Pose, type Step } from './ways';

/** Shortest straight and tightest bend that closing a round may leave, m. */
const LEAST_LENGTH = 0.3;

/**
 * Changes lengths and radii by as little as can be so that the steps end exactly at a goal: where they began, for
 * a round. The headings stay, so each step's way is proportional to its length or radius, and the least change is a
 * linear problem (weighted least norm); what would become too short is held and the rest solved again.
 * @param goal where it is to end, m and degrees
 * @param start where it begins
 * @param steps the pieces between
 * @param leastRadius of a bend, m
 * @returns the steps as changed, or null when they cannot be
 */
export const leadTo = (
  goal: Pose,
  start: Pose,
  steps: readonly Step[],
  leastRadius: number,
): Step[] | null =>
  // Round radii are kept where the straights can do it alone.
  leadBy(goal, start, steps, leastRadius, (step) => step.kind === 'straight') ??
  leadBy(goal, start, steps, leastRadius, () => true);

/** Leads to the goal by the steps that may change. */
function leadBy(
  goal: Pose,
  start: Pose,
  steps: readonly Step[],
  leastRadius: number,
  may: (step: Step) => boolean,
): Step[] | null {
  const off = [start.x - goal.x, start.z - goal.z] as const;
  const rays = raysOf(start, steps);
  const values = steps.map((step) => (step.kind === 'straight' ? step.length : step.radius));
  const held = new Set(steps.flatMap((step, i) => (may(step) ? [] : [i])));
  for (let round = 0; round < 12; round++) {
    const [ex, ez] = endOffset(off, rays, values);
    if (ex * ex + ez * ez < 1e-24) break;
    let [a, b, d] = [0, 0, 0];
    rays.forEach(([x, z], i) => {
      if (held.has(i)) return;
      const w = weightOf(steps[i]);
      a += w * x * x;
      b += w * x * z;
      d += w * z * z;
    });
    const det = a * d - b * b;
    if (Math.abs(det) < 1e-9) return null;
    const [lx, lz] = [(d * -ex - b * -ez) / det, (a * -ez - b * -ex) / det];
    let free = true;
    rays.forEach(([x, z], i) => {
      if (held.has(i)) return;
      values[i] += weightOf(steps[i]) * (x * lx + z * lz);
      const least = steps[i].kind === 'straight' ? LEAST_LENGTH : leastRadius;
      if (values[i] < least) {
        values[i] = least;
        held.add(i);
        free = false;
      }
    });
    if (free) break;
  }
  const [ex, ez] = endOffset(off, rays, values);
  if (ex * ex + ez * ez > 1e-18) return null;
  return steps.map((step, i) =>
    step.kind === 'straight' ? { ...step, length: values[i] } : { ...step, radius: values[i] },
  );
}

/** Straights give way before bends do. */
const weightOf = (step: Step): number => (step.kind === 'straight' ? 1 : 0.15);

/** The way of each step over the map for one metre of its length or radius. */
function raysOf(start: Pose, steps: readonly Step[]): [number, number][] {
  let heading = start.heading;
  return steps.map((step) => {
    const unit: Step =
      step.kind === 'straight' ? { kind: 'straight', length: 1 } : { ...step, radius: 1 };
    const { ahead, right, turn } = stepEnd(unit);
    const [x, z] = fromPose({ x: 0, z: 0, heading }, ahead, right);
    heading += turn;
    return [x, z];
  });
}

const endOffset = (
  off: readonly [number, number],
  rays: readonly (readonly [number, number])[],
  values: readonly number[],
) => rays.reduce(([x, z], ray, i) => [x + ray[0] * values[i], z + ray[1] * values[i]], off);

/**
 * The last straight drawn out or in so that the track ends abreast of a place.
 * @param start where it begins, m and degrees
 * @param steps the pieces from there
 * @param x of the place it is to end beside, m
 * @param z of the same, m
 */
export function endAbreast(start: Pose, steps: readonly Step[], x: number, z: number): Step[] {
  const last = steps[steps.length - 1];
  if (last?.kind !== 'straight') return [...steps];
  let pose = start;
  for (const step of steps) pose = afterStep(pose, step);
  const ahead = (x - pose.x) * cosDeg(pose.heading) - (z - pose.z) * sinDeg(pose.heading);
  const length = Math.max(0.5, Math.min(last.length * 2, last.length + ahead));
  return [...steps.slice(0, -1), { kind: 'straight', length: Math.round(length * 20) / 20 }];
}
