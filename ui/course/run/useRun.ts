import { router } from 'expo-router';
import { useCallback, useState } from 'react';
import type { Course } from '@/core/course';
import type { RunFrom } from '@/core/run';
import { showToast } from '../../parts';
import { useView } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { meantWay } from '../open/useMeantWay';
import { runPage } from '../../device/routes';
import { spotInView } from './spotInView';

/** Begins a run of the open course: from its start, or from the spot in view. */
export function useRun(id: string) {
  const [missing, setMissing] = useState(false);
  const begin = useCallback(
    (spotOf?: (course: Course) => RunFrom | null) => {
      const { course } = useCourse.getState();
      if (!course.pieces.some(({ family }) => family === 'start')) return setMissing(true);
      const spot = spotOf?.(course);
      if (spot === null) {
        return showToast('Neither ground nor the way is in view, so there is nowhere to run from.');
      }
      const from = spot ? `?from=${spot.map((v) => v!.toFixed(2)).join(',')}` : '';
      router.push(runPage(id, from));
    },
    [id],
  );
  // Neither takes anything: what is pressed hands over its event.
  const run = useCallback(() => begin(), [begin]);
  const runHere = useCallback(
    () => begin((course) => spotInView(course, useView.getState(), meantWay(course).way)),
    [begin],
  );
  return { run, runHere, missing, dismiss: useCallback(() => setMissing(false), []) };
}
