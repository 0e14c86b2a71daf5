import { useDeferredValue } from 'react';
import { create } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import type { Course } from '@/core/course';
import { useCourse } from './courseStore';
import { useDragState } from '../device/dragState';

/** Time after an edit until what only tells of the course is told of it, and within a drag, ms. */
const PAUSE = 60;
const PAUSE_IN_DRAG = 300;
let pausing: ReturnType<typeof setTimeout> | undefined;

const useToldCourse = create<{ course: Course }>()(() => ({ course: useCourse.getState().course }));
useCourse.subscribe((now, before) => {
  if (now.course === before.course) return;
  clearTimeout(pausing);
  const tell = () => useToldCourse.setState({ course: useCourse.getState().course });
  if (now.id !== before.id) tell();
  else pausing = setTimeout(tell, useDragState.getState().dragging ? PAUSE_IN_DRAG : PAUSE);
});

/**
 * The open course for what only tells of it: its way, findings, tide, where the piece in hand would land.
 * It follows once the hand pauses, so that a drag through thousands of pieces has none of that to wait for.
 */
export const useDebouncedCourse = (): Course => useDeferredValue(useToldCourse((s) => s.course));

/** Something small made of that course, or a list: who asks hears of it only when it is another. */
export const useDebouncedOf = <T>(make: (course: Course) => T): T =>
  useToldCourse(useShallow((s) => make(s.course)));
