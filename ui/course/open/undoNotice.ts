import { showToast } from '../../parts';
import { useCourse } from '../../state/courseStore';

/**
 * Says what the last step did, with a button that undoes it. The notice goes as soon as there is another last step:
 * its button would undo that one.
 */
export function noticeWithUndo(words: string): void {
  const { past } = useCourse.getState();
  const dismiss = showToast(words, { label: 'Undo', act: () => useCourse.getState().undo() });
  const stop = useCourse.subscribe((now) => {
    if (now.past === past) return;
    stop();
    dismiss();
  });
}
