import { expose } from 'comlink';
import type { Course } from '@/core/course';
import { loadPhysics, type Run } from '@/core/run';
import { judgeWay, type HeldWay, type WayVerdict } from '@/core/timing';

/** A run that is to lead through a course still, and a name it is known by. */
export interface WatchedRun {
  readonly key: string;
  readonly run: Run;
}

/** What is said of a run; other inputs may be looked for yet. */
export interface SaidOfWay {
  readonly verdict: WayVerdict;
  readonly searching: boolean;
}

/** What can be asked of the worker. */
export interface WayWorkerApi {
  /**
   * What is said of each of some finished runs now.
   * @param told is told of each by its key: at once, and again when other inputs have been looked for
   */
  judge: (
    course: Course,
    runs: readonly WatchedRun[],
    told: (key: string, said: SaidOfWay) => void,
  ) => Promise<void>;
}

/** How often was asked: searches for a course that was edited since are given up. */
let asked = 0;
/** Of each run how it went on the last course on which it held. */
const held = new Map<string, HeldWay>();

expose({
  judge: async (course, runs, told) => {
    const mine = ++asked;
    await loadPhysics(course);
    const names = new Set(runs.map(({ key }) => key));
    for (const key of held.keys()) if (!names.has(key)) held.delete(key);
    const searches: { key: string; search: () => WayVerdict }[] = [];
    for (const { key, run } of runs) {
      const judged = judgeWay(course, run, held.get(key) ?? null);
      if (judged.held) held.set(key, judged.held);
      const { verdict, search } = judged;
      told(key, { verdict, searching: search !== null });
      if (search) searches.push({ key, search: () => search() });
    }
    for (const { key, search } of searches) {
      // What was told goes out, and what is asked comes in, before the search has the thread to itself.
      await new Promise((resolve) => setTimeout(resolve));
      if (mine !== asked) return;
      told(key, { verdict: search(), searching: false });
    }
  },
} satisfies WayWorkerApi);
