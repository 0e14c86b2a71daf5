import { useEffect, useRef, type RefObject } from 'react';
import type { View } from 'react-native';
import { useDragState } from '../../device/dragState';
import { endGlide } from '../glide';
import { useView } from '../view';
import {
  gestureStep,
  isResting,
  NO_GESTURE,
  type GestureAction,
  type GestureEvent,
} from './gesture';
import type { Finger, Pinch, Pointer, Tool } from './tool';

/** How long a finger is held down before that means something, ms. */
const HOLD = 320;

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
    return element ? bindGestures(element, () => latest.current) : undefined;
  }, [host]);
}

/** Hears an element's pointers until the answer is called. */
function bindGestures(element: HTMLElement, tool: () => Tool): () => void {
  let gesture = NO_GESTURE;
  let holding: ReturnType<typeof setTimeout> | undefined;
  const hear = (event: GestureEvent, pointer?: Pointer) => {
    const [next, actions] = gestureStep(gesture, event);
    gesture = next;
    for (const action of actions) {
      if (action.do !== 'pinch') act(tool(), action, pointer);
      else if (tool().pinch?.(action.change)) hear({ type: 'pinched' });
      else pinchView(action.change);
    }
  };
  const place = ({ clientX, clientY }: PointerEvent): Finger => {
    const frame = element.getBoundingClientRect();
    return { x: clientX - frame.left, y: clientY - frame.top };
  };
  const hold = () => {
    const { start } = gesture;
    if (!start || !isResting(gesture) || !tool().hold?.(start.x, start.y)) return;
    hear({ type: 'held' });
    useDragState.setState({ dragging: true });
  };
  const down = (event: PointerEvent) => {
    endGlide();
    clearTimeout(holding);
    // What was being typed is taken before something else is chosen.
    (document.activeElement as HTMLElement | null)?.blur();
    // By what is under it already: otherwise it would leave that, and come into this.
    (event.target as Element).setPointerCapture(event.pointerId);
    measureView(element);
    const at = place(event);
    const { button, pointerId: id } = event;
    const first = gesture.fingers.size === 0 && button === 0;
    const wanted = first && (tool().begin?.(at.x, at.y, pointerOf(event)) ?? false);
    hear({ type: 'down', id, at, button, wanted });
    if (first && tool().hold) holding = setTimeout(hold, HOLD);
  };
  const move = (event: PointerEvent) => {
    const at = place(event);
    if (gesture.fingers.has(event.pointerId)) hear({ type: 'move', id: event.pointerId, at });
    else if (event.pointerType === 'mouse') tool().hover?.(at.x, at.y);
  };
  const up = (event: PointerEvent) => {
    clearTimeout(holding);
    const lifted = event.type === 'pointerup';
    hear({ type: 'up', id: event.pointerId, lifted }, pointerOf(event));
  };
  const bound = new AbortController();
  const { signal } = bound;
  for (const kind of KEPT) element.addEventListener(kind, (e) => e.stopPropagation(), { signal });
  element.addEventListener('pointerdown', down, { signal });
  element.addEventListener('pointermove', move, { signal });
  element.addEventListener('pointerup', up, { signal });
  element.addEventListener('pointercancel', up, { signal });
  element.addEventListener('wheel', zoomByWheel, { signal, passive: false });
  element.addEventListener('contextmenu', (event) => event.preventDefault(), { signal });
  return () => {
    clearTimeout(holding);
    bound.abort();
  };
}

function act(tool: Tool, action: Exclude<GestureAction, { do: 'pinch' }>, pointer?: Pointer): void {
  if (action.do === 'view') return moveView(action);
  if (action.do === 'tap') return tool.tap?.(action.at.x, action.at.y, pointer!);
  useDragState.setState({ dragging: action.do === 'drag' });
  if (action.do === 'drag') tool.drag?.(action.at.x, action.at.y);
  else if (action.do === 'cancel') (tool.cancel ?? tool.drop)?.();
  else tool.drop?.();
}

/** In the free view one finger turns it; the straight views keep their direction until told. */
function moveView({ dx, dy, button }: Extract<GestureAction, { do: 'view' }>): void {
  const view = useView.getState();
  if (button === 2 || (button === 0 && view.mode === 'free')) view.orbit(dx, dy);
  else view.pan(dx, dy);
}

function pinchView({ dx, dy, factor, turn }: Pinch): void {
  const view = useView.getState();
  view.zoom(1 / factor);
  view.pan(dx, dy);
  view.twist(turn);
}

function zoomByWheel(event: WheelEvent): void {
  event.preventDefault();
  endGlide();
  useView.getState().zoom(Math.exp(event.deltaY * 0.0012));
}

/** The canvas is measured a moment after it stands; until then a touch would be taken for one elsewhere. */
function measureView(element: HTMLElement): void {
  const { width, height } = element.getBoundingClientRect();
  const view = useView.getState();
  if (view.width !== width || view.height !== height) view.resize(width, height);
}
