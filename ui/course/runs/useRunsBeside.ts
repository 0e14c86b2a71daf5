import { useMemo } from 'react';
import { useShownRuns } from '../../state/shownRuns';
import { runsBeside, type KnownRun } from './runsKnown';
import type { KnownRuns } from './useKnownRuns';

/** The runs that one is held against, as they were picked. */
export function useRunsBeside(shown: KnownRun, find: KnownRuns['find']): readonly KnownRun[] {
  const keys = useShownRuns((s) => s.beside);
  return useMemo(() => runsBeside(shown, keys, find), [shown, keys, find]);
}
