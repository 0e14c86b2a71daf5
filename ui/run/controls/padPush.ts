/** How wide the pad and its knob are, pixels. */
export const PAD = 148;
export const KNOB = 62;

/** Half of a resting thumb's tremble: nearer to the middle it stands still, pixels. */
const DEAD = 10;
/** The share of the knob's way at which it pushes fully. */
const FULL = 0.8;

/** What a thumb on the pad does: where the knob goes, pixels from the middle, and how much is pushed, each -1 to 1. */
export interface PadPush {
  readonly knob: { readonly x: number; readonly y: number };
  readonly right: number;
  readonly forward: number;
}

/**
 * What a thumb at a place of the pad does.
 *
 * @param at - the thumb, pixels from the pad's left upper corner
 * @param level - only left and right are pushed
 */
export function padPush(at: { readonly x: number; readonly y: number }, level: boolean): PadPush {
  const reach = (PAD - KNOB) / 2;
  const [dx, dy] = [at.x - PAD / 2, level ? 0 : at.y - PAD / 2];
  const length = Math.hypot(dx, dy);
  const within = length > reach ? reach / length : 1;
  const push = length < DEAD ? 0 : Math.min(1, length / (reach * FULL)) / length;
  return {
    knob: { x: dx * within, y: dy * within },
    right: dx * push,
    forward: (0 - dy) * push,
  };
}
