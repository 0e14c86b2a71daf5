import { useEffect, useMemo } from 'react';
import { create } from 'zustand';
import { checkCourse, type Finding } from '@/core/check';
import type { Course } from '@/core/course';
import { checkElsewhere } from '@/workers/check';

/** Courses of up to so many pieces are checked at once, larger ones in a worker. */
const AT_ONCE = 100;
/** How long an edit rests before a large course is checked anew, ms. */
const REST = 350;

const useChecked = create<{ of: Course | null; findings: readonly Finding[] }>()(() => ({
  of: null,
  findings: [],
}));
const NONE: readonly Finding[] = [];
const known = new WeakMap<Course, Finding[]>();

/** What is wrong with the open course; of a large one as it was a moment ago. */
export function useFindings(course: Course): readonly Finding[] {
  const large = course.pieces.length > AT_ONCE;
  const checked = useChecked((s) => (large ? s.findings : NONE));
  useEffect(() => {
    if (!large || useChecked.getState().of === course) return;
    const timer = setTimeout(
      () => checkElsewhere(course, (findings) => useChecked.setState({ of: course, findings })),
      REST,
    );
    return () => clearTimeout(timer);
  }, [course, large]);
  return useMemo(() => {
    if (large) return checked;
    let found = known.get(course);
    if (!found) {
      found = checkCourse(course);
      known.set(course, found);
    }
    return found;
  }, [course, large, checked]);
}
