import { FULL_AIM } from '@/core/run';

/** A stroke being drawn: over the map or the stage, each from -1 to 1, and how hard, 0 to 1. */
export interface Aim {
  readonly x: number;
  readonly z: number;
  readonly strength: number;
}

/** How the map lies to the eye: unit directions to the right and ahead. */
export interface AimFrame {
  readonly right: readonly number[];
  readonly ahead: readonly number[];
  /** Seen from the side: drawn over the stage instead of over the map. */
  readonly onStage: boolean;
}

/** Pixels a finger is drawn back for the hardest stroke. */
const FULL_DRAW = 170;
/** Strokes weaker than this are let go of. */
const LEAST = 0.04;
/** The weakest that keys aim. */
const WEAKEST = 0.05;

/** The aim of a draw by pixels to the right and down: away from where it is drawn to. */
export function drawnAim(dx: number, dy: number, { right, ahead, onStage }: AimFrame): Aim {
  const length = Math.hypot(dx, dy) || 1;
  const strength = Math.min(1, length / FULL_DRAW);
  const [u, v] = [-dx / length, dy / length];
  if (onStage) return { x: u, z: -v, strength };
  return { x: right[0] * u + ahead[0] * v, z: right[2] * u + ahead[2] * v, strength };
}

/** The aim of a stick that is pushed so far to the right and forwards, each -1 to 1: where it points. */
export const pointedAim = (right: number, forward: number, frame: AimFrame): Aim =>
  drawnAim(-right * FULL_DRAW, forward * FULL_DRAW, frame);

/**
 * An aim turned and made harder by keys; the first key aims where one looks, on the stage to the right.
 *
 * @param aim - the aim so far, if there is one
 * @param degrees - by how much it is turned, clockwise seen from above
 * @param harder - by how much of the hardest stroke it is made harder
 * @param frame - how the map lies to the eye
 */
export function turnedAim(aim: Aim | null, degrees: number, harder: number, frame: AimFrame): Aim {
  const { right, ahead, onStage } = frame;
  const from = aim ?? {
    x: onStage ? right[0] : ahead[0],
    z: onStage ? 0 : ahead[2],
    strength: 0.5,
  };
  const angle = (degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return {
    x: from.x * c - from.z * s,
    z: from.x * s + from.z * c,
    strength: Math.min(1, Math.max(WEAKEST, from.strength + harder)),
  };
}

/** What the run is told of a stroke; null where it is too weak to be meant. */
export function strokeInput(aim: Aim | null): { x: number; z: number; jump: true } | null {
  if (!aim || aim.strength < LEAST) return null;
  const [x, z] = [aim.x, aim.z].map((v) => Math.round(v * aim.strength * FULL_AIM));
  return { x, z, jump: true };
}
