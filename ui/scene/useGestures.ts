import { useEffect, useRef, type RefObject } from 'react';
import type { View } from 'react-native';
import { useDragState } from '../device/dragState';
import { endGlide } from './glide';
import { useView } from './view';

/** What is pointed with, and whether what it points at is to be added to the rest. */
export interface Pointer {
  readonly kind: 'mouse' | 'touch';
  readonly adds: boolean;
}

/** What two fingers did since the last time: about a pixel between them, by pixels, times and degrees. */
export interface Pinch {
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
  readonly factor: number;
  /** Clockwise on the picture. */
  readonly turn: number;
}

/** What one finger, or the mouse's main button, does; pixels of the canvas. */
export interface Tool {
  /** The pointer is down; returns whether a drag from here belongs to the tool. */
  readonly begin?: (x: number, y: number, pointer: Pointer) => boolean;
  /** It has been held down in one place for a while; returns whether what follows is a drag. */
  readonly hold?: (x: number, y: number) => boolean;
  readonly drag?: (x: number, y: number) => void;
  readonly drop?: () => void;
  /** The drag came to nothing: a second finger moves the view instead. */
  readonly cancel?: () => void;
  readonly tap?: (x: number, y: number, pointer: Pointer) => void;
  /** Two fingers move; returns whether that belongs to the tool instead of to the view. */
  readonly pinch?: (change: Pinch) => boolean;
  /** A mouse moves without a button down. */
  readonly hover?: (x: number, y: number) => void;
}

/** How long a finger is held down before that means something, ms. */
const HOLD = 320;
/** Movement under which a touch is a tap, pixels. */
const TAP = 9;

/** What is heard here alone: the interface about the scene would seek in vain who it is for, at every move. */
const KEPT = [
  ...['pointerdown', 'pointermove', 'pointerup', 'pointercancel', 'pointerover', 'pointerout'],
  ...['gotpointercapture', 'lostpointercapture'],
  ...['mousedown', 'mousemove', 'mouseup', 'touchstart', 'touchmove', 'touchend', 'touchcancel'],
];

const pointerOf = ({ pointerType, shiftKey, ctrlKey, metaKey }: PointerEvent): Pointer => ({
  kind: pointerType === 'mouse' ? 'mouse' : 'touch',
  adds: shiftKey || ctrlKey || metaKey,
});

interface Finger {
  x: number;
  y: number;
}

/**
 * Pointers over the scene: one finger does what the tool says and else moves the view; two fingers
 * always pan, pinch and turn; the wheel zooms; the other mouse buttons turn and pan.
 */
export function useGestures(host: RefObject<View | null>, tool: Tool): void {
  const latest = useRef(tool);
  useEffect(() => {
    latest.current = tool;
  });

  useEffect(() => {
    const element = host.current as unknown as HTMLElement | null;
    if (!element) return;
    const fingers = new Map<number, Finger>();
    let start: Finger | null = null;
    let moved = false;
    let owned = false;
    let pinched = false;
    let button = 0;
    let holding: ReturnType<typeof setTimeout> | undefined;

    const place = (event: PointerEvent | WheelEvent): Finger => {
      const frame = element.getBoundingClientRect();
      return { x: event.clientX - frame.left, y: event.clientY - frame.top };
    };
    const drop = () => {
      useDragState.setState({ dragging: false });
      latest.current.drop?.();
    };
    const cancel = () => {
      useDragState.setState({ dragging: false });
      if (latest.current.cancel) latest.current.cancel();
      else latest.current.drop?.();
    };
    const keep = (event: Event) => event.stopPropagation();
    const down = (event: PointerEvent) => {
      endGlide();
      clearTimeout(holding);
      // What was being typed is taken before something else is chosen.
      (document.activeElement as HTMLElement | null)?.blur();
      // By what is under it already: otherwise it would leave that, and come into this.
      (event.target as Element).setPointerCapture(event.pointerId);
      // The canvas is measured a moment after it stands; until then a touch would be taken for one elsewhere.
      const { width, height } = element.getBoundingClientRect();
      const view = useView.getState();
      if (view.width !== width || view.height !== height) view.resize(width, height);
      const at = place(event);
      fingers.set(event.pointerId, at);
      if (fingers.size === 1) {
        start = at;
        moved = false;
        button = event.button;
        owned = button === 0 && (latest.current.begin?.(at.x, at.y, pointerOf(event)) ?? false);
        if (button === 0 && latest.current.hold) holding = setTimeout(hold, HOLD);
      } else {
        // A second finger makes it a movement of the view, whatever the first one did.
        if (owned) cancel();
        owned = false;
        start = null;
      }
    };
    /** Held down long enough: from here on it is a drag, however little it moves. */
    const hold = () => {
      if (!start || moved || !latest.current.hold?.(start.x, start.y)) return;
      moved = true;
      owned = true;
      useDragState.setState({ dragging: true });
    };
    const move = (event: PointerEvent) => {
      const at = place(event);
      const before = fingers.get(event.pointerId);
      if (!before) {
        if (event.pointerType === 'mouse') latest.current.hover?.(at.x, at.y);
        return;
      }
      if (fingers.size === 2) twoFingers(event.pointerId, before, at);
      else if (start) {
        if (Math.hypot(at.x - start.x, at.y - start.y) > TAP) moved = true;
        if (moved) oneFinger(before, at);
      }
      fingers.set(event.pointerId, at);
    };
    const oneFinger = (before: Finger, at: Finger) => {
      const view = useView.getState();
      if (owned) {
        if (!useDragState.getState().dragging) useDragState.setState({ dragging: true });
        latest.current.drag?.(at.x, at.y);
        return;
      }
      if (turnsView()) view.orbit(at.x - before.x, at.y - before.y);
      else view.pan(at.x - before.x, at.y - before.y);
    };
    // In the free view one finger turns it; the straight views keep their direction until told.
    const turnsView = () => button === 2 || (button === 0 && useView.getState().mode === 'free');
    const twoFingers = (id: number, before: Finger, at: Finger) => {
      const other = [...fingers].find(([key]) => key !== id)![1];
      const view = useView.getState();
      const span = (p: Finger) => Math.hypot(p.x - other.x, p.y - other.y);
      const angle = (p: Finger) => Math.atan2(p.y - other.y, p.x - other.x);
      const [dx, dy] = [(at.x - before.x) / 2, (at.y - before.y) / 2];
      const factor = span(at) > 1 && span(before) > 1 ? span(at) / span(before) : 1;
      const degrees = ((angle(at) - angle(before)) * 180) / Math.PI;
      // Past half a turn the angle wraps round.
      const turn = Math.abs(degrees) < 180 ? degrees : 0;
      const [x, y] = [(before.x + other.x) / 2, (before.y + other.y) / 2];
      if (latest.current.pinch?.({ x, y, dx, dy, factor, turn })) {
        pinched = true;
        return;
      }
      view.zoom(1 / factor);
      view.pan(dx, dy);
      view.twist(turn);
    };
    const up = (event: PointerEvent) => {
      const at = fingers.get(event.pointerId);
      fingers.delete(event.pointerId);
      clearTimeout(holding);
      if (pinched && fingers.size < 2) {
        pinched = false;
        drop();
      }
      if (!at || !start) return;
      // What the device takes back was not let go.
      if (owned && moved && event.type === 'pointercancel') cancel();
      else if (owned && moved) drop();
      if (!moved && button === 0 && event.type === 'pointerup')
        latest.current.tap?.(at.x, at.y, pointerOf(event));
      start = null;
    };
    const wheel = (event: WheelEvent) => {
      event.preventDefault();
      endGlide();
      useView.getState().zoom(Math.exp(event.deltaY * 0.0012));
    };
    const menu = (event: Event) => event.preventDefault();

    for (const kind of KEPT) element.addEventListener(kind, keep);
    element.addEventListener('pointerdown', down);
    element.addEventListener('pointermove', move);
    element.addEventListener('pointerup', up);
    element.addEventListener('pointercancel', up);
    element.addEventListener('wheel', wheel, { passive: false });
    element.addEventListener('contextmenu', menu);
    return () => {
      for (const kind of KEPT) element.removeEventListener(kind, keep);
      element.removeEventListener('pointerdown', down);
      element.removeEventListener('pointermove', move);
      element.removeEventListener('pointerup', up);
      element.removeEventListener('pointercancel', up);
      element.removeEventListener('wheel', wheel);
      element.removeEventListener('contextmenu', menu);
    };
  }, [host]);
}
