import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface Settings {
  readonly light: 'device' | 'day' | 'night';
  /** How the scene is drawn: by measured frame time, or always so. */
  readonly drawing: 'measured' | 'light' | 'full';
  /** Name shown with runs sent without an account. */
  readonly player: string;
  /** Whether others may see one's runs. */
  readonly openRuns: boolean;
  /** Whether makers are told where one's tries end. */
  readonly tellEnds: boolean;
  /** Whether courses are silent on this device. */
  readonly muted: boolean;
  set: (change: Partial<Omit<Settings, 'set'>>) => void;
}

/** What somebody prefers on this device. */
export const useSettings = create<Settings>()(
  persist(
    (set) => ({
      light: 'device',
      drawing: 'measured',
      player: '',
      openRuns: true,
      tellEnds: false,
      muted: false,
      set,
    }),
    {
      name: 'stonehop-settings',
    },
  ),
);
