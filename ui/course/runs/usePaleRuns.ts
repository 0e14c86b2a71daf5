import { useMemo } from 'react';
import type { Course } from '@/core/course';
import type { PaleWish } from '../../run/pale/usePales';
import { isWhole } from '../../state/attempts';
import { useShownRuns } from '../../state/shownRuns';
import { sameRun } from './runsKnown';
import { useKnownRuns } from './useKnownRuns';

/** The runs the maker wants shown beside the live one: those from the start alone can be. */
export function usePaleRuns(id: string, course: Course): readonly PaleWish[] {
  const { find } = useKnownRuns(id, course);
  const pales = useShownRuns((s) => s.pales);
  return useMemo(() => {
    const wishes: PaleWish[] = [];
    for (const key of pales) {
      const known = find(key);
      if (!known || !isWhole(known) || wishes.some(({ run }) => sameRun(run, known.run))) continue;
      const name = key === 'best' ? 'the best' : known.name;
      wishes.push({ key: known.key, name, run: known.run });
    }
    return wishes;
  }, [find, pales]);
}
