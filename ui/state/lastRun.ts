import { create } from 'zustand';
import type { Vec3 } from '@/core/geometry';
import type { RunResult } from '@/core/run';
import { thinPath } from '@/core/route';

interface LastRun {
  /** The way of the last run of the open course that arrived; null before there is one. */
  readonly way: readonly Vec3[] | null;
  /** Follows a run from a start, where it arrived: one that came to an end on its way would leave the rest out. */
  keep: (result: RunResult) => void;
  forget: () => void;
}

/** The maker's last run of the open course, which the ribbon follows. */
export const useLastRun = create<LastRun>()((set) => ({
  way: null,
  keep: (result) => result.finished && set({ way: thinPath(result.path) }),
  forget: () => set({ way: null }),
}));
