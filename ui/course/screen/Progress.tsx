import { memo, useEffect, useMemo } from 'react';
import { Stones, type Phase } from '../../parts';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { useLastRun } from '../../state/lastRun';
import { useCourseOnServer } from '../../state/queries';
import { useReplay } from '../../state/useBest';
import { useCheckOf, useFindings } from '../open/useFindings';

/** The phases, with those that are done. */
export const Progress = memo(function Progress({
  id,
  phase,
  onChoose,
}: {
  id: string;
  phase: Phase;
  onChoose: (phase: Phase) => void;
}) {
  const told = useDebouncedCourse();
  const { data } = useCourseOnServer(id);
  const proof = useReplay(told, data?.proof?.run);
  // The proof's way serves until there is a newer run, and goes on serving when edits make it stale.
  useEffect(() => {
    if (proof && !useLastRun.getState().way) useLastRun.getState().keep(proof);
  }, [proof]);
  const planned = told.name.trim().length >= 3 && told.pieces.length > 0;
  const checked = useCheckOf(told).known;
  const laid = !useFindings(told).some(({ weight }) => weight === 'error') && checked;
  const proved = proof?.finished === true;
  const shared = data?.published?.current === true;
  return useMemo(() => {
    const done = new Set<Phase>();
    if (planned) done.add('plan');
    if (laid) done.add('lay');
    if (proved) done.add('run');
    if (shared) done.add('share');
    return <Stones current={phase} done={done} onChoose={onChoose} />;
  }, [planned, laid, proved, shared, phase, onChoose]);
});
