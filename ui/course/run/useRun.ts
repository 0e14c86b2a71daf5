import { router } from 'expo-router';
import { useCallback, useState } from 'react';
import { groundBelow } from '@/core/edit';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { showToast } from '../../parts';
import { useView } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useLay } from '../open/laying';
import { runPage } from '../../device/routes';

/** The ground in the middle of the view; null where there is none. */
export function spotInView(course: Course, target: Vec3, depth: number): Vec3 | null {
  const [x, y, z] = target;
  const lane = course.space === 'side-on' ? depth : z;
  const ground = groundBelow(course, [x, y, lane]);
  return ground === null ? null : [x, ground, lane];
}

/** Begins a run of the open course: from its start, or from the spot in view. */
export function useRun(id: string) {
  const [missing, setMissing] = useState(false);
  const begin = useCallback(
    (spotOf?: (course: Course) => Vec3 | null) => {
      const { course } = useCourse.getState();
      if (!course.pieces.some(({ family }) => family === 'start')) return setMissing(true);
      const spot = spotOf?.(course);
      if (spot === null) {
        return showToast('There is no ground in the middle of the view to run from.');
      }
      const from = spot ? `?from=${spot.map((v) => v.toFixed(2)).join(',')}` : '';
      router.push(runPage(id, from));
    },
    [id],
  );
  // Neither takes anything: what is pressed hands over its event.
  const run = useCallback(() => begin(), [begin]);
  const runHere = useCallback(
    () => begin((course) => spotInView(course, useView.getState().target, useLay.getState().depth)),
    [begin],
  );
  return { run, runHere, missing, dismiss: useCallback(() => setMissing(false), []) };
}
