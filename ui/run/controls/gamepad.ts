import type { RunAct } from './runKeys';

/** A gamepad as the browser tells of it, with its buttons where the standard layout has them. */
export interface PadState {
  /** -1 to 1 to the right and down: the left stick's two first. */
  readonly axes: readonly number[];
  readonly buttons: readonly { readonly pressed: boolean; readonly value: number }[];
}

/** What hands on a gamepad do. */
export interface PadHands {
  /** From -1 to 1 to the right and forwards. */
  readonly right: number;
  readonly forward: number;
  readonly jump: boolean;
  /** What its other buttons ask for. */
  readonly acts: readonly Extract<RunAct, 'pause' | 'again' | 'keep'>[];
}

/** A stick nearer to its middle than this rests. */
const REST = 0.18;
/** Buttons by their places in the standard layout. */
const PLACES = {
  /** Lower and right of the four, and both upper shoulders. */
  jump: [0, 1, 4, 5],
  keep: 3,
  brake: 6,
  drive: 7,
  again: 8,
  pause: 9,
  up: 12,
  down: 13,
  left: 14,
  right: 15,
} as const;

/**
 * What hands on a gamepad do: the left stick or its cross moves, the lower buttons jump; of what has pedals the
 * triggers drive and brake.
 */
export function padHands({ axes, buttons }: PadState, pedals: boolean): PadHands {
  const held = (place: number) => buttons[place]?.pressed === true;
  const far = (place: number) => buttons[place]?.value ?? 0;
  const stick = pushed(axes[0] ?? 0, 0 - (axes[1] ?? 0));
  const cross = (more: number, less: number) => Number(held(more)) - Number(held(less));
  const [x, y] = [cross(PLACES.right, PLACES.left), cross(PLACES.up, PLACES.down)];
  const pedal = pedals ? far(PLACES.drive) - far(PLACES.brake) : 0;
  return {
    right: x === 0 ? stick.right : x,
    forward: pedal !== 0 ? pedal : y === 0 ? stick.forward : y,
    jump: PLACES.jump.some(held),
    acts: (['pause', 'again', 'keep'] as const).filter((act) => held(PLACES[act])),
  };
}

/** A stick's way from where it no longer rests, so that it begins at nothing and ends at all. */
function pushed(right: number, forward: number): { right: number; forward: number } {
  const far = Math.sqrt(right * right + forward * forward);
  if (far <= REST) return { right: 0, forward: 0 };
  const part = Math.min(1, (far - REST) / (1 - REST)) / far;
  return { right: right * part, forward: forward * part };
}
