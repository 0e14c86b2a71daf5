import { useEffect, useRef } from 'react';
import { useCourse } from '../../state/courseStore';
import { pointedAt } from '../tools/landing';
import { chosenText, endCopy, pasteText } from './clipboard';

const isTyping = ({ target }: Event): boolean =>
  target instanceof HTMLElement && /^(INPUT|TEXTAREA)$/.test(target.tagName);

/** True where words of the page are marked, which are then what is copied. */
const isMarked = (): boolean => (window.getSelection()?.toString() ?? '') !== '';

/**
 * Copies, cuts and pastes by the browser's own keys and menu. Its events bring the clipboard along, which needs no
 * permission; pieces are pasted where the pointer is, or in the middle of the view.
 */
export function useClipboard(active: boolean): void {
  const pointer = useRef<{ scene: Element; x: number; y: number } | null>(null);
  useEffect(() => {
    if (!active) return;
    const point = ({ target, clientX: x, clientY: y }: PointerEvent) => {
      const scene = target instanceof Element ? target.closest('[data-testid=scene]') : null;
      pointer.current = scene && { scene, x, y };
    };
    const place = () => {
      if (!pointer.current) return undefined;
      const { scene, x, y } = pointer.current;
      const { left, top } = scene.getBoundingClientRect();
      return pointedAt(useCourse.getState().course, x - left, y - top) ?? undefined;
    };
    const copy = (event: ClipboardEvent) => {
      if (isTyping(event) || isMarked()) return;
      const text = chosenText();
      if (text === null) return;
      event.clipboardData?.setData('text/plain', text);
      event.preventDefault();
      endCopy(event.type === 'cut');
    };
    const paste = (event: ClipboardEvent) => {
      if (isTyping(event)) return;
      const text = event.clipboardData?.getData('text/plain');
      if (!text) return;
      event.preventDefault();
      pasteText(text, place());
    };
    document.addEventListener('pointermove', point);
    document.addEventListener('copy', copy);
    document.addEventListener('cut', copy);
    document.addEventListener('paste', paste);
    return () => {
      document.removeEventListener('pointermove', point);
      document.removeEventListener('copy', copy);
      document.removeEventListener('cut', copy);
      document.removeEventListener('paste', paste);
    };
  }, [active]);
}
