import { useEffect, useMemo } from 'react';
import { create } from 'zustand';
import { partedFindings, type Finding } from '@/core/check';
import type { Course } from '@/core/course';
import { checkInWorker } from '@/workers/check';
import { useCourse } from '../../state/courseStore';

/** How long an edit rests before the course is checked anew, ms. */
const REST = 40;

interface Checked {
  /** The course that was checked last, or null before any was. */
  readonly of: Course | null;
  readonly findings: readonly Finding[];
  /** The part done of the check under way, 0 to 1. */
  readonly part: number;
  readonly failed: boolean;
}
const NOTHING: Checked = { of: null, findings: [], part: 0, failed: false };
const useChecked = create<Checked>()(() => NOTHING);

let asked: Course | null = null;
let resting: ReturnType<typeof setTimeout> | undefined;

// What was found of another course says nothing of this one.
useCourse.subscribe((now, before) => {
  if (now.id === before.id) return;
  asked = null;
  useChecked.setState(NOTHING);
});

function ask(course: Course): void {
  if (asked === course) return;
  asked = course;
  clearTimeout(resting);
  resting = setTimeout(() => {
    checkInWorker(course, {
      told: (findings) => useChecked.setState({ of: course, findings, part: 1, failed: false }),
      progress: (part) => useChecked.setState({ part }),
      failed: () => {
        asked = null;
        useChecked.setState({ failed: true });
      },
    });
  }, REST);
}

/** All that was found of the open course, as it was a moment ago: the check runs beside the page. */
function useParted(course: Course): ReturnType<typeof partedFindings> {
  useEffect(() => ask(course), [course]);
  const findings = useChecked((s) => s.findings);
  const { aside } = course;
  return useMemo(() => partedFindings({ aside }, findings), [aside, findings]);
}

/** Findings of the open course, as it was a moment ago, without those put aside. */
export const useFindings = (course: Course): readonly Finding[] => useParted(course).told;

/** Findings of the open course that its maker put aside. */
export const useAsideFindings = (course: Course): readonly Finding[] => useParted(course).aside;

/** How far the check of a course has got: done, under way with a part done, or broken off. */
export function useCheckOf(course: Course): {
  readonly done: boolean;
  /** Whether the course was checked at all, if before the last edit. */
  readonly known: boolean;
  readonly part: number;
  readonly failed: boolean;
  readonly again: () => void;
} {
  const { of, part, failed } = useChecked();
  const again = () => {
    asked = null;
    useChecked.setState({ failed: false, part: 0 });
    ask(course);
  };
  const done = of === course;
  return { done, known: of !== null, part: done ? 1 : part, failed, again };
}
