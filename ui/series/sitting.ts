import { create } from 'zustand';
import { persist } from 'zustand/middleware';

// A series run in one sitting has one clock over all its courses: every attempt counts on it, also those broken off.

/** A sitting that is going on. */
export interface Sitting {
  readonly series: string;
  /** On the clock before the attempt that is run now, s. */
  readonly spent: number;
  /** The courses finished in it, and the clock when each was, s. */
  readonly passed: readonly { readonly slug: string; readonly at: number }[];
}

interface Sittings {
  readonly now: Sitting | null;
  /** The best sitting of each series on this device, s. */
  readonly best: Readonly<Record<string, number>>;
  readonly begin: (series: string) => void;
  /** An attempt is over, after so many seconds; where it came to the goal its course is passed. */
  readonly spend: (seconds: number, passed: string | null) => void;
  /** Its last course is passed; it counts where all of these were. */
  readonly end: (courses: readonly string[]) => void;
}

export const useSittings = create<Sittings>()(
  persist(
    (set) => ({
      now: null,
      best: {},
      begin: (series) => set({ now: { series, spent: 0, passed: [] } }),
      spend: (seconds, slug) =>
        set(({ now }) => {
          if (!now) return {};
          const spent = now.spent + seconds;
          const isNew = slug !== null && !now.passed.some((one) => one.slug === slug);
          const passed = isNew ? [...now.passed, { slug, at: spent }] : now.passed;
          return { now: { ...now, spent, passed } };
        }),
      end: (courses) =>
        set(({ now, best }) => {
          if (!now) return {};
          const { series, spent, passed } = now;
          const isWhole = courses.every((slug) => passed.some((one) => one.slug === slug));
          if (!isWhole) return { now: null };
          return {
            now: null,
            best: { ...best, [series]: Math.min(spent, best[series] ?? Infinity) },
          };
        }),
    }),
    { name: 'stonehop-sittings' },
  ),
);
