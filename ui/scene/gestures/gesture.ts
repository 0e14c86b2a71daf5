import { pinchOf } from './pinchOf';
import type { Finger, Pinch } from './tool';

/** What is going on between the first pointer's going down and the last one's lifting. */
export interface Gesture {
  readonly fingers: ReadonlyMap<number, Finger>;
  /** Where the only finger went down; null once there were two. */
  readonly start: Finger | null;
  /** It has gone too far, or was held too long, for a tap. */
  readonly moved: boolean;
  /** What it drags belongs to the tool, else to the view. */
  readonly owned: boolean;
  /** The tool has taken what two fingers do. */
  readonly pinched: boolean;
  /** The mouse's button; 0 for a finger. */
  readonly button: number;
}

/** What is heard of pointers, and what the tool answered. */
export type GestureEvent =
  | {
      readonly type: 'down';
      readonly id: number;
      readonly at: Finger;
      readonly button: number;
      /** The tool wants what this pointer drags; asked of the first one alone. */
      readonly wanted: boolean;
    }
  /** The only finger has been held down in one place, and the tool takes what follows. */
  | { readonly type: 'held' }
  | { readonly type: 'move'; readonly id: number; readonly at: Finger }
  /** The tool took what two fingers did. */
  | { readonly type: 'pinched' }
  /** A pointer lifts, or the device takes it away. */
  | { readonly type: 'up'; readonly id: number; readonly lifted: boolean };

/** What is to be done. */
export type GestureAction =
  | { readonly do: 'drag'; readonly at: Finger }
  | { readonly do: 'drop' }
  | { readonly do: 'cancel' }
  | { readonly do: 'tap'; readonly at: Finger }
  /** The view follows one pointer, by pixels. */
  | { readonly do: 'view'; readonly dx: number; readonly dy: number; readonly button: number }
  | { readonly do: 'pinch'; readonly change: Pinch };

type Step = readonly [Gesture, readonly GestureAction[]];

/** Nothing touches. */
export const NO_GESTURE: Gesture = {
  fingers: new Map(),
  start: null,
  moved: false,
  owned: false,
  pinched: false,
  button: 0,
};

/** Movement under which a touch is a tap, pixels. */
const TAP = 9;

/** What comes of something heard: the gesture as it goes on, and what is to be done. */
export function gestureStep(gesture: Gesture, event: GestureEvent): Step {
  switch (event.type) {
    case 'down':
      return fingerDown(gesture, event);
    case 'held':
      return [{ ...gesture, moved: true, owned: true }, []];
    case 'move':
      return fingerMoves(gesture, event);
    case 'pinched':
      return [{ ...gesture, pinched: true }, []];
    case 'up':
      return fingerUp(gesture, event);
  }
}

/** Whether the only finger still rests where it went down. */
export const isResting = ({ start, moved }: Gesture): boolean => start !== null && !moved;

type Of<K extends GestureEvent['type']> = Extract<GestureEvent, { type: K }>;

function fingerDown(gesture: Gesture, { id, at, button, wanted }: Of<'down'>): Step {
  const fingers = new Map(gesture.fingers).set(id, at);
  // A second finger makes it a movement of the view, whatever the first one did; so does a lost lifting.
  const actions: GestureAction[] = gesture.start && gesture.owned ? [{ do: 'cancel' }] : [];
  if (fingers.size === 1) {
    return [{ ...NO_GESTURE, fingers, start: at, owned: wanted, button }, actions];
  }
  return [{ ...gesture, fingers, start: null, owned: false }, actions];
}

function fingerMoves(gesture: Gesture, { id, at }: Of<'move'>): Step {
  const before = gesture.fingers.get(id);
  if (!before) return [gesture, []];
  const next = { ...gesture, fingers: new Map(gesture.fingers).set(id, at) };
  if (next.fingers.size === 2) {
    const [, other] = [...next.fingers].find(([key]) => key !== id)!;
    return [next, [{ do: 'pinch', change: pinchOf(before, at, other) }]];
  }
  const { start, owned, button } = gesture;
  if (!start) return [next, []];
  const moved = gesture.moved || Math.hypot(at.x - start.x, at.y - start.y) > TAP;
  if (!moved) return [next, []];
  const view = { do: 'view', dx: at.x - before.x, dy: at.y - before.y, button } as const;
  return [{ ...next, moved }, [owned ? { do: 'drag', at } : view]];
}

function fingerUp(gesture: Gesture, { id, lifted }: Of<'up'>): Step {
  const at = gesture.fingers.get(id);
  const fingers = new Map(gesture.fingers);
  fingers.delete(id);
  const { start, owned, moved, button } = gesture;
  const pinchEnds = gesture.pinched && fingers.size < 2;
  const actions: GestureAction[] = pinchEnds ? [{ do: 'drop' }] : [];
  const next = { ...gesture, fingers, pinched: gesture.pinched && !pinchEnds };
  if (!at || !start) return [next, actions];
  // What the device takes back was not let go.
  if (owned && moved) actions.push({ do: lifted ? 'drop' : 'cancel' });
  if (!moved && button === 0 && lifted) actions.push({ do: 'tap', at });
  return [{ ...next, start: null }, actions];
}
