import { useEffect, useRef, type RefObject } from 'react';
import type { View } from 'react-native';

/** Where a pointer is within what it was put down on, pixels. */
export interface PointerPlace {
  readonly x: number;
  readonly y: number;
}

/** What one pointer does between going down on something and lifting. */
export interface PointerDrag {
  /** It goes down; answers false where nothing there can be dragged. */
  readonly begin?: (at: PointerPlace) => boolean | void;
  readonly move?: (at: PointerPlace) => void;
  /** It lifts, or the device takes it away. */
  readonly end?: () => void;
}

/**
 * Follows one pointer at a time from where it goes down on an element until it lifts, wherever it goes
 * meanwhile. Pointers that come while one is down are not heeded.
 */
export function usePointerDrag(host: RefObject<View | null>, drag: PointerDrag): void {
  const latest = useRef(drag);
  useEffect(() => {
    latest.current = drag;
  });
  useEffect(() => {
    const element = host.current as unknown as HTMLElement | null;
    if (!element) return;
    Object.assign(element.style, { touchAction: 'none', userSelect: 'none' });
    let held: number | null = null;
    const place = (event: PointerEvent): PointerPlace => {
      const frame = element.getBoundingClientRect();
      return { x: event.clientX - frame.left, y: event.clientY - frame.top };
    };
    const down = (event: PointerEvent) => {
      if (held !== null || latest.current.begin?.(place(event)) === false) return;
      held = event.pointerId;
      element.setPointerCapture(held);
    };
    const move = (event: PointerEvent) => {
      if (event.pointerId === held) latest.current.move?.(place(event));
    };
    const up = (event: PointerEvent) => {
      if (event.pointerId !== held) return;
      held = null;
      latest.current.end?.();
    };
    const bound = new AbortController();
    const { signal } = bound;
    // Else lifting the finger would also click on whatever has come up under it in the meantime.
    const noClick = (event: Event) => event.preventDefault();
    element.addEventListener('touchstart', noClick, { signal, passive: false });
    element.addEventListener('pointerdown', down, { signal });
    element.addEventListener('pointermove', move, { signal });
    element.addEventListener('pointerup', up, { signal });
    element.addEventListener('pointercancel', up, { signal });
    return () => bound.abort();
  }, [host]);
}
