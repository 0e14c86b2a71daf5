import { create } from 'zustand';
import type { KeptMoment } from './moments';

interface PausedRun {
  /** The course it is of, and where it was when its maker went to change something. */
  readonly course: string;
  readonly moment: KeptMoment | null;
  /** Whether to go on from it at once instead of offering to. */
  readonly atOnce: boolean;
}

/** The run that was paused to change something, while the page lasts. */
export const usePausedRun = create<PausedRun>()(() => ({
  course: '',
  moment: null,
  atOnce: false,
}));
