import { chosenOf, KitError, layKit, readKit, removePieces, toKit } from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import { showToast } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { noticeWithUndo } from '../open/undoNotice';
import { toGrid } from '../tools/landing';
import { pointedNow } from '../open/laying';

/** The text copied last: what is pasted where the browser does not let its clipboard be read. */
let last: string | null = null;

const counted = (count: number) => (count === 1 ? 'Piece' : `${count} pieces`);

/** The chosen pieces as text, with their links and models; null, and told why, where they cannot be copied. */
export function chosenText(): string | null {
  const { course, choice } = useCourse.getState();
  try {
    last = JSON.stringify(toKit(course, choice, 'Copied pieces'));
    return last;
  } catch (problem) {
    const none = chosenOf(course, choice).length === 0;
    showToast(none ? 'Choose the pieces to copy first.' : (problem as Error).message);
    return null;
  }
}

/** Tells that the chosen pieces were copied, or removes them where they were cut. */
export function endCopy(cut: boolean): void {
  const { course, choice, edit } = useCourse.getState();
  const words = counted(chosenOf(course, choice).length);
  if (!cut) {
    showToast(`${words} copied.`);
    return;
  }
  edit((before) => removePieces(before, choice));
  noticeWithUndo(`${words} cut.`);
}

/** Puts the chosen pieces on the clipboard as text, and takes them away where they are cut. */
export async function copyChosen(cut: boolean): Promise<void> {
  const text = chosenText();
  if (text === null) return;
  // Refused, they can still be pasted here.
  await navigator.clipboard?.writeText(text).catch(() => undefined);
  endCopy(cut);
}

/**
 * Lays copied pieces, as one step, and chooses them.
 * @param text what was copied, in this course, another, or on another device
 * @param at where the middle of their foot comes
 */
export function pasteText(text: string, at: Vec3 = pointedNow()): void {
  const { course, edit, choose } = useCourse.getState();
  try {
    const { course: next, laid } = layKit(course, readKit(text), toGrid(at));
    if (laid.length === 0) {
      showToast('The course has a start already.');
      return;
    }
    edit(() => next);
    choose(laid);
    showToast(`${counted(laid.length)} pasted.`);
  } catch (problem) {
    if (!(problem instanceof KitError)) throw problem;
    showToast(`What was copied cannot be pasted here. ${problem.message}`);
  }
}

/** Pastes from the browser's clipboard; what was copied here last where that may not be read. */
export async function pasteChosen(): Promise<void> {
  const text = await navigator.clipboard?.readText().catch(() => null);
  const copied = text ?? last;
  if (copied) pasteText(copied);
  else showToast('Nothing was copied yet.');
}
