/** A key or touch and what it does. */
export interface KeyLine {
  readonly keys: string;
  readonly does: string;
}

export const TOUCHES: readonly KeyLine[] = [
  {
    keys: 'One finger',
    does: 'Does what is in hand: lays, chooses, drags what is chosen or its handles; else moves the view',
  },
  {
    keys: 'Hold in hand',
    does: 'Shows the piece above the finger; slide it, and it lands where you let go',
  },
  { keys: 'Hold a laid piece', does: 'Takes another like it in hand' },
  { keys: 'Tap the ghost', does: 'Lays the piece in hand where it is shown' },
  { keys: 'Row', does: 'Switched on, a drag lays a row of the piece in hand' },
  { keys: 'Shift or Ctrl and click', does: 'Adds to what is chosen, or takes out of it' },
  { keys: 'Two fingers', does: 'Move, pinch and turn the view, whatever is in hand' },
  { keys: 'Done', does: 'Stops laying; until then every tap lays another' },
  { keys: 'Hold in the tray', does: 'Puts a piece of the tray among the favourites' },
  { keys: 'Alt held', does: 'Nothing snaps' },
  { keys: 'Wheel, right button', does: 'Zoom, and turn the view' },
  { keys: 'The ribbon', does: 'Touch or drag along it to go to that place of the course' },
];

/** What a gamepad does in a run, its buttons by where they are. */
export const PAD_KEYS: readonly KeyLine[] = [
  { keys: 'Left stick or cross', does: 'Moves; of the cart it steers' },
  { keys: 'Lower and right button, shoulders', does: 'The runner’s button' },
  { keys: 'Triggers', does: 'The right one drives the cart, the left one brakes it' },
  { keys: 'Upper button', does: 'Keeps the moment' },
  { keys: 'The two in the middle', does: 'The left one begins again, the right one pauses' },
];

export const RUN_KEYS: readonly KeyLine[] = [
  {
    keys: 'The hopper',
    does: 'The button jumps, the longer the higher; on a side-on stage so does ↑',
  },
  { keys: 'Back with the button', does: 'Drops through a ledge that may be dropped through' },
  {
    keys: 'The cart',
    does: 'Forwards drives, back brakes, left and right steer, the button drifts',
  },
  { keys: 'The roller', does: 'Pushed every way, the button holds it back' },
  {
    keys: 'The flick stone',
    does: 'Draw back anywhere and let go once it lies still; or ←, → aim, ↑, ↓ set how hard, Space strikes',
  },
];
