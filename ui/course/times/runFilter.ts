import { isWhole } from '../../state/attempts';
import type { KnownRun } from '../runs/runsKnown';

/** Which of the runs are listed. */
export const RUN_FILTERS = {
  all: { label: 'All', takes: () => true },
  arrived: { label: 'Arrived', takes: (run) => run.finished && isWhole(run) },
  clean: { label: 'No falls', takes: (run) => run.finished && run.falls === 0 },
  ended: { label: 'Ended on the way', takes: (run) => !run.finished },
} as const satisfies Readonly<
  Record<string, { readonly label: string; readonly takes: (run: KnownRun) => boolean }>
>;

export type RunFilter = keyof typeof RUN_FILTERS;

/** The filters that would tell some of the runs from others, all of them first. */
export const usefulFilters = (runs: readonly KnownRun[]): RunFilter[] =>
  (Object.keys(RUN_FILTERS) as RunFilter[]).filter((key) => {
    const taken = runs.filter(RUN_FILTERS[key].takes).length;
    return key === 'all' || (taken > 0 && taken < runs.length);
  });
