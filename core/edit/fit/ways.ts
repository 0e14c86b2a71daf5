import { cosDeg, sinDeg, type Vec2 } from '../../geometry';

/** Where a track has got to: a place of the map and the heading in degrees. */
export interface Pose {
  readonly x: number;
  readonly z: number;
  readonly heading: number;
}

/** A piece of track as the search knows it: straight, or turning by signed degrees, left above 0. */
export type Step =
  | { readonly kind: 'straight'; readonly length: number }
  | { readonly kind: 'bend'; readonly radius: number; readonly turn: number };

/** The place after a step, seen from before it: ahead, and to the right. */
export function stepEnd(step: Step): { ahead: number; right: number; turn: number } {
  if (step.kind === 'straight') return { ahead: step.length, right: 0, turn: 0 };
  const a = Math.abs(step.turn);
  const sign = step.turn < 0 ? -1 : 1;
  return {
    ahead: step.radius * sinDeg(a),
    right: -sign * step.radius * (1 - cosDeg(a)),
    turn: step.turn,
  };
}

export const stepLength = (step: Step): number =>
  step.kind === 'straight' ? step.length : (step.radius * Math.abs(step.turn) * Math.PI) / 180;

/** A place given ahead of and to the right of a pose, on the map. */
export function fromPose({ x, z, heading }: Pose, ahead: number, right: number): Vec2 {
  const [c, s] = [cosDeg(heading), sinDeg(heading)];
  return [x + ahead * c + right * s, z - ahead * s + right * c];
}

export function afterStep(pose: Pose, step: Step): Pose {
  const { ahead, right, turn } = stepEnd(step);
  const [x, z] = fromPose(pose, ahead, right);
  return { x, z, heading: pose.heading + turn };
}

/** Places along a step after its beginning, about so far apart, its end the last; ahead and right. */
export function samplesOf(step: Step, pitch: number): Vec2[] {
  const count = Math.max(1, Math.round(stepLength(step) / pitch));
  return Array.from({ length: count }, (_, i): Vec2 => {
    const k = (i + 1) / count;
    const part: Step =
      step.kind === 'straight'
        ? { kind: 'straight', length: step.length * k }
        : { ...step, turn: step.turn * k };
    const { ahead, right } = stepEnd(part);
    return [ahead, right];
  });
}
