import { create } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import type { Course } from '@/core/course';
import { afterFrame } from './afterFrame';
import { useCourse } from './courseStore';
import { useDragState } from '../device/dragState';

interface Shown {
  readonly course: Course;
  readonly choice: ReadonlySet<string>;
  /** Whether something is being dragged, or was and has not been shown where it was let go. */
  readonly carrying: boolean;
}

/** Rest of the hand within a drag until the panels follow it, ms. */
const PAUSE_IN_DRAG = 300;

const now = (): Shown => {
  const { course, choice } = useCourse.getState();
  return { course, choice, carrying: useDragState.getState().dragging };
};

/**
 * The open course and what is chosen as the scene has last shown them. Panels and cards follow this: what is
 * done in the scene or by keys is answered there first, and no frame waits for figures beside it.
 */
export const usePanelSnapshot = create<Shown>()(now);

let callOff: (() => void) | null = null;
/** Whether something in a panel is being touched or typed into now. */
let inPanel = false;

function show(): void {
  callOff?.();
  callOff = null;
  usePanelSnapshot.setState(now());
}

function showSoon(): void {
  callOff?.();
  if (useDragState.getState().dragging) {
    const pause = setTimeout(show, PAUSE_IN_DRAG);
    callOff = () => clearTimeout(pause);
  } else callOff = afterFrame(show);
}

useCourse.subscribe((is, was) => {
  if (is.id !== was.id || inPanel) show();
  else if (is.course !== was.course || is.choice !== was.choice) showSoon();
});
useDragState.subscribe(({ dragging }) => {
  if (dragging) usePanelSnapshot.setState({ carrying: true });
  else showSoon();
});

/** What is done in a panel, and how an edit may come of it: a figure that was typed is taken when it is left. */
const TOUCHES = ['pointerdown', 'click', 'keydown', 'input', 'focusout'];

// Whoever touches a panel touches what it shows: it is brought up to date before it hears of that, and shows
// what comes of it at once. Otherwise a caret would be lost, or a button stand where another is about to.
if (typeof window !== 'undefined' && window.addEventListener) {
  const touched = ({ type, target }: Event) => {
    if (!(target instanceof Element) || target instanceof HTMLCanvasElement) return;
    if (callOff && !useDragState.getState().dragging) show();
    if (type === 'keydown' && !/^(INPUT|TEXTAREA)$/.test(target.tagName)) return;
    inPanel = true;
    setTimeout(() => (inPanel = false));
  };
  for (const kind of TOUCHES) window.addEventListener(kind, touched, true);
}

/**
 * Something of the course and the choice for marks over the scene: as they are while something is dragged,
 * else as they were last shown.
 */
export function useLiveOrSnapshot<T>(pick: (of: Pick<Shown, 'course' | 'choice'>) => T): T {
  const carrying = usePanelSnapshot((s) => s.carrying);
  const live = useCourse((s) => (carrying ? pick(s) : null));
  const shown = usePanelSnapshot((s) => (carrying ? null : pick(s)));
  return (carrying ? live : shown) as T;
}

/**
 * What the panels edit with. Unlike the whole store it says nothing of saving and undoing, so that panels are
 * not drawn anew when only these change.
 */
export function useEditing() {
  const of = usePanelSnapshot(useShallow(({ course, choice }) => ({ course, choice })));
  const actions = useCourse(useShallow(({ edit, choose }) => ({ edit, choose })));
  return { ...of, ...actions };
}
