import type { Vec3 } from '@/core/geometry';
import { axes } from '@/core/sight';

/** How fast one flies, m/s. */
export const FLIGHT_SPEED = 8;

/** What the hands do while one flies, each -1 to 1. */
export interface FlightHands {
  readonly right: number;
  readonly forward: number;
  readonly up: number;
}

export const NO_FLIGHT: FlightHands = { right: 0, forward: 0, up: 0 };

/**
 * The speed of a flight in the world, m/s.
 * @param hands - what is pushed
 * @param yaw - of the eye, degrees: ahead is where it looks
 * @param sideOn - on a stage forwards is up
 */
export function flightSpeed(
  { right, forward, up }: FlightHands,
  yaw: number,
  sideOn: boolean,
): Vec3 {
  const within = (v: number) => Math.min(1, Math.max(-1, v)) * FLIGHT_SPEED;
  if (sideOn) return [within(right), within(up + forward), 0];
  const view = axes({ yaw, pitch: 0 });
  const [r, f] = [within(right), within(forward)];
  return [view.right[0] * r + view.ahead[0] * f, within(up), view.right[2] * r + view.ahead[2] * f];
}

/** What keys do to the hands: each pushes its way as long as it is held. */
export const FLIGHT_ACTS = {
  left: { right: -1 },
  right: { right: 1 },
  forward: { forward: 1 },
  back: { forward: -1 },
  button: { up: 1 },
  lower: { up: -1 },
} as const satisfies Readonly<Record<string, Partial<FlightHands>>>;

export type FlightAct = keyof typeof FLIGHT_ACTS;

/** What all keys that are held push together. */
export function pushedBy(held: Iterable<FlightAct>): FlightHands {
  const hands = { ...NO_FLIGHT };
  for (const act of held) {
    for (const [way, by] of Object.entries(FLIGHT_ACTS[act])) hands[way as keyof FlightHands] += by;
  }
  return hands;
}
