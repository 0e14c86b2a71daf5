import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** What a maker does for the first time on this device, in the order it is hinted at. */
export const FIRSTS = ['lay', 'run', 'share'] as const;
export type First = (typeof FIRSTS)[number];

interface Firsts {
  readonly done: readonly First[];
  /** Notes that something was done, or need not be hinted at any more. */
  note: (first: First) => void;
}

/** What was done at least once. */
export const useFirsts = create<Firsts>()(
  persist(
    (set, get) => ({
      done: [],
      note: (first) => {
        if (!get().done.includes(first)) set({ done: [...get().done, first] });
      },
    }),
    { name: 'stonehop-firsts' },
  ),
);

/** What is to be hinted at next, if anything is. */
export const nextFirst = (done: readonly First[]): First | null =>
  FIRSTS.find((first) => !done.includes(first)) ?? null;
