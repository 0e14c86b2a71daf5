import { create } from 'zustand';
import type { Vec3 } from '@/core/geometry';
import type { RunResult } from '@/core/run';
import { thinPath } from '@/core/route';

interface LastRun {
  /** The way of the last run of the open course; null before there is one. */
  readonly way: readonly Vec3[] | null;
  keep: (result: RunResult) => void;
  forget: () => void;
}

/** The maker's last run of the open course, which the ribbon follows. */
export const useLastRun = create<LastRun>()((set) => ({
  way: null,
  keep: (result) => result.ticks > 60 && set({ way: thinPath(result.path) }),
  forget: () => set({ way: null }),
}));
