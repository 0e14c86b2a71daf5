import { create } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import type { Course } from '@/core/course';
import { afterFrame } from './afterFrame';
import { useCourse } from './courseStore';
import { useHand } from './hand';

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
  return { course, choice, carrying: useHand.getState().dragging };
};

/**
 * The open course and what is chosen as the scene has last shown them. Panels and cards follow this: a
 * touch is answered in the scene first, and no frame waits for figures beside it.
 */
export const useShown = create<Shown>()(now);

let callOff: (() => void) | null = null;
/** Whether a key has just gone into a field: what it shows must be what was typed, or the caret is lost. */
let typing = false;

function show(): void {
  callOff?.();
  callOff = null;
  useShown.setState(now());
}

function showSoon(): void {
  callOff?.();
  if (useHand.getState().dragging) {
    const pause = setTimeout(show, PAUSE_IN_DRAG);
    callOff = () => clearTimeout(pause);
  } else callOff = afterFrame(show);
}

useCourse.subscribe((is, was) => {
  if (is.id !== was.id || typing) show();
  else if (is.course !== was.course || is.choice !== was.choice) showSoon();
});
useHand.subscribe(({ dragging }) => {
  if (dragging) useShown.setState({ carrying: true });
  else showSoon();
});

// Whoever touches a panel touches what it shows: it is brought up to date before it hears of that. A figure
// that is typed is taken when the next thing is touched, so a click comes after an edit as well.
if (typeof window !== 'undefined' && window.addEventListener) {
  const before = ({ target }: Event) => {
    const inScene = target instanceof HTMLCanvasElement;
    if (callOff && !inScene && !useHand.getState().dragging) show();
  };
  const typed = () => {
    typing = true;
    setTimeout(() => (typing = false));
  };
  window.addEventListener('input', typed, true);
  for (const kind of ['pointerdown', 'click', 'keydown'])
    window.addEventListener(kind, before, true);
}

/**
 * Something of the course and the choice for marks over the scene: as they are while something is dragged,
 * else as they were last shown.
 */
export function useMarked<T>(pick: (of: Pick<Shown, 'course' | 'choice'>) => T): T {
  const carrying = useShown((s) => s.carrying);
  const live = useCourse((s) => (carrying ? pick(s) : null));
  const shown = useShown((s) => (carrying ? null : pick(s)));
  return (carrying ? live : shown) as T;
}

/**
 * What the panels edit with. Unlike the whole store it says nothing of saving and undoing, so that panels are
 * not drawn anew when only these change.
 */
export function useEditing() {
  const { course, choice } = useShown();
  const actions = useCourse(useShallow(({ edit, choose }) => ({ edit, choose })));
  return { course, choice, ...actions };
}
