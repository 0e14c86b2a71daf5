import { create } from 'zustand';
import type { Piece } from '@/core/course';
import { middle, type Vec3 } from '@/core/geometry';
import { pieceBounds } from '@/core/pieces';
import { motionReduced } from '../../device/motion';

/** A short stir where something has just landed. */
export interface Pulse {
  readonly at: Vec3;
  readonly joined: boolean;
  /** Of its own, so that two in a row are two. */
  readonly key: number;
}

/** How long it is seen, ms. */
export const PULSE_MS = 320;

/** The part of its time that has gone by, from 0 to 1. A frame may be stamped with a time before it was asked for. */
export const pulsePart = (ms: number): number => Math.min(1, Math.max(0, ms / PULSE_MS));

export const usePulse = create<{ readonly pulse: Pulse | null; readonly joining: boolean }>()(
  () => ({ pulse: null, joining: false }),
);

let key = 0;

/** Says of the next piece laid that it is joined to an end. */
export const willJoin = (joining: boolean): void => usePulse.setState({ joining });

/** Stirs where a piece has landed, unless no motion is wanted. */
export function pulseAt(piece: Piece): { joined: boolean } {
  const { joining: joined } = usePulse.getState();
  usePulse.setState({ joining: false });
  if (motionReduced()) return { joined };
  const pulse = { at: middle(pieceBounds(piece)), joined, key: ++key };
  usePulse.setState({ pulse });
  setTimeout(() => {
    if (usePulse.getState().pulse === pulse) usePulse.setState({ pulse: null });
  }, PULSE_MS);
  return { joined };
}
