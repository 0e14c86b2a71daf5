import type { Finger, Pinch } from './tool';

/**
 * What two fingers did when one of them went on.
 *
 * @param before - where the moving finger was, pixels
 * @param at - where it is now, pixels
 * @param other - the finger that rests, pixels
 */
export function pinchOf(before: Finger, at: Finger, other: Finger): Pinch {
  const span = (p: Finger) => Math.hypot(p.x - other.x, p.y - other.y);
  const angle = (p: Finger) => Math.atan2(p.y - other.y, p.x - other.x);
  const degrees = ((angle(at) - angle(before)) * 180) / Math.PI;
  return {
    x: (before.x + other.x) / 2,
    y: (before.y + other.y) / 2,
    dx: (at.x - before.x) / 2,
    dy: (at.y - before.y) / 2,
    factor: span(at) > 1 && span(before) > 1 ? span(at) / span(before) : 1,
    // Past half a turn the angle wraps round.
    turn: Math.abs(degrees) < 180 ? degrees : 0,
  };
}
