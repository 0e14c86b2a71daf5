import { useEffect, useLayoutEffect, useRef, type RefObject } from 'react';
import type { View } from 'react-native';

/**
 * Gives a sheet the focus while it is open, and gives it back to where it was. A field of the sheet that takes the focus
 * by itself keeps it.
 * @returns goes to the sheet's heading
 */
export function useSheetFocus(open: boolean): RefObject<View | null> {
  const heading = useRef<View>(null);
  const before = useRef<Element | null>(null);
  // Before the dialog's own effects, which move the focus into it.
  useLayoutEffect(() => {
    if (open && typeof document !== 'undefined') before.current = document.activeElement;
  }, [open]);
  useEffect(() => {
    if (!open || typeof document === 'undefined') return;
    const frame = requestAnimationFrame(() => {
      const element = heading.current as unknown as HTMLElement | null;
      const dialog = element?.closest('[role="dialog"]');
      const focused = document.activeElement;
      const typing = focused instanceof HTMLInputElement && dialog?.contains(focused);
      if (!typing) element?.focus();
    });
    return () => {
      cancelAnimationFrame(frame);
      const { current } = before;
      // Once the dialog no longer holds the focus in itself.
      setTimeout(() => {
        if (current instanceof HTMLElement && current.isConnected) current.focus();
      });
    };
  }, [open]);
  return heading;
}
