import { useEffect, useMemo } from 'react';
import { create } from 'zustand';
import type { Course } from '@/core/course';
import { plannedRoute, type PlannedRoute, type Roads } from '@/core/route';
import { roadsElsewhere } from '@/workers/check';
import { useCourse } from '../../state/courseStore';

/** How long an edit rests before the way is looked for anew, ms. */
const REST = 300;

interface KnownRoads {
  /** The ways found last; of the course before the last edit until they are found again. */
  readonly roads: Roads | null;
}
const useRoads = create<KnownRoads>()(() => ({ roads: null }));

let asked: Course['pieces'] | null = null;
let resting: ReturnType<typeof setTimeout> | undefined;

// The way through another course is none through this one.
useCourse.subscribe((now, before) => {
  if (now.id === before.id) return;
  asked = null;
  useRoads.setState({ roads: null });
});

function ask(course: Course): void {
  const { pieces } = course;
  if (asked === pieces) return;
  asked = pieces;
  clearTimeout(resting);
  resting = setTimeout(() => {
    roadsElsewhere(course)
      .then((roads) => asked === pieces && useRoads.setState({ roads }))
      // Without it the way is straight from mark to mark, and called so.
      .catch(() => useRoads.setState({ roads: null }));
  }, REST);
}

/** The way the open course is meant to take; over its surfaces once that is found, beside the page. */
export function useMeantWay(course: Course): PlannedRoute {
  const plain = useMemo(() => plannedRoute(course), [course]);
  const lacking = plain.from === 'marks';
  useEffect(() => {
    if (lacking) ask(course);
  }, [course, lacking]);
  const roads = useRoads((s) => s.roads);
  return useMemo(
    () => (lacking && roads ? plannedRoute(course, roads) : plain),
    [course, lacking, plain, roads],
  );
}

/** The same for who asks once: as far as it is known. */
export const meantWay = (course: Course): PlannedRoute =>
  plannedRoute(course, useRoads.getState().roads);
