import { router } from 'expo-router';
import { useCallback, useState } from 'react';
import { groundBelow } from '@/core/edit';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { showToast } from '../../parts';
import { useView } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useLay } from '../lay/layStore';

/** The ground in the middle of the view; null where there is none. */
export function spotInView(course: Course, target: Vec3, depth: number): Vec3 | null {
  const [x, y, z] = target;
  const lane = course.space === 'side-on' ? depth : z;
  const ground = groundBelow(course, [x, y, lane]);
  return ground === null ? null : [x, ground, lane];
}

/** Begins a run of the open course, from its start or from the spot in view. */
export function useRun(id: string) {
  const [missing, setMissing] = useState(false);
  const run = useCallback(
    (fromHere = false) => {
      const { course } = useCourse.getState();
      if (!course.pieces.some(({ family }) => family === 'start')) return setMissing(true);
      if (!fromHere) return router.push(`/course/${id}/run` as never);
      const spot = spotInView(course, useView.getState().target, useLay.getState().depth);
      if (!spot) return showToast('There is no ground in the middle of the view to run from.');
      const from = spot.map((v) => v.toFixed(2)).join(',');
      router.push(`/course/${id}/run?from=${from}` as never);
    },
    [id],
  );
  return { run, missing, dismiss: useCallback(() => setMissing(false), []) };
}
