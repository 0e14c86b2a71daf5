import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { RunnerKind } from '@/core/course';

/** How far something stands from its side of the screen and from below, more than usual, pixels. */
export interface Offset {
  readonly inward: number;
  readonly up: number;
}

/** How the pad and the buttons of a runner lie under the thumbs. */
export interface TouchLayout {
  /** Whether the pad is under the right thumb. */
  readonly leftHanded: boolean;
  /** Times the usual size. */
  readonly size: number;
  readonly pad: Offset;
  readonly buttons: Offset;
}

/** Least and greatest size, times the usual. */
export const SIZES = [0.75, 1.35] as const;
/** How far anything may be moved, pixels. */
const MOST: Offset = { inward: 120, up: 320 };

export const USUAL_LAYOUT: TouchLayout = {
  leftHanded: false,
  size: 1,
  pad: { inward: 0, up: 0 },
  buttons: { inward: 0, up: 0 },
};

/** An offset moved by a finger over the screen, and kept where a thumb can be. */
export function movedBy(offset: Offset, dx: number, dy: number, onLeft: boolean): Offset {
  const kept = (v: number, most: number) => Math.round(Math.min(most, Math.max(0, v)));
  return {
    inward: kept(offset.inward + (onLeft ? dx : -dx), MOST.inward),
    up: kept(offset.up - dy, MOST.up),
  };
}

interface TouchLayouts {
  readonly of: Partial<Record<RunnerKind, TouchLayout>>;
  set: (kind: RunnerKind, change: Partial<TouchLayout>) => void;
  reset: (kind: RunnerKind) => void;
}

/** The layouts somebody has made on this device, each of a kind of runner. */
export const useTouchLayouts = create<TouchLayouts>()(
  persist(
    (set, get) => ({
      of: {},
      set: (kind, change) => {
        const { of } = get();
        set({ of: { ...of, [kind]: { ...(of[kind] ?? USUAL_LAYOUT), ...change } } });
      },
      reset: (kind) => {
        const { [kind]: _, ...of } = get().of;
        set({ of });
      },
    }),
    { name: 'stonehop-touch' },
  ),
);

export const useTouchLayout = (kind: RunnerKind): TouchLayout =>
  useTouchLayouts((s) => s.of[kind] ?? USUAL_LAYOUT);
