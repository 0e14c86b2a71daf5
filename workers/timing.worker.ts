import { expose } from 'comlink';
import type { Course } from '@/core/course';
import { loadPhysics, type Run } from '@/core/run';
import { runSheet, type RunSheet } from '@/core/timing';

/** What can be asked of the worker. */
export interface TimingWorkerApi {
  sheet: (course: Course, run: Run, against: Run | null) => Promise<RunSheet>;
}

expose({
  sheet: async (course, run, against) => {
    await loadPhysics(course);
    return runSheet(course, run, against);
  },
} satisfies TimingWorkerApi);
