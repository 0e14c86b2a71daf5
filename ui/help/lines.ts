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
  { keys: 'Tap the ghost', does: 'Lays the piece in hand where it is shown' },
  { keys: 'Row', does: 'Switched on, a drag lays a row of the piece in hand' },
  { keys: 'Shift or Ctrl and click', does: 'Adds to what is chosen, or takes out of it' },
  { keys: 'Two fingers', does: 'Move, pinch and turn the view, whatever is in hand' },
  { keys: 'Done', does: 'Stops laying; until then every tap lays another' },
  { keys: 'Hold a piece', does: 'Puts a piece of the tray among the favourites' },
  { keys: 'Alt held', does: 'Nothing snaps' },
  { keys: 'Wheel, right button', does: 'Zoom, and turn the view' },
  { keys: 'The ribbon', does: 'Touch or drag along it to go to that place of the course' },
];

export const RUN_KEYS: readonly KeyLine[] = [
  { keys: '←, → or A, D', does: 'Run' },
  { keys: '↑, ↓ or W, S', does: 'Run forwards and back where the course roams free' },
  { keys: 'Space', does: 'Jump, the longer the higher; ↑ or W too on a side-on stage' },
  { keys: '↓ with Space', does: 'Drops through a ledge that may be dropped through' },
  { keys: 'The cart', does: '↑ drives, ↓ brakes, ←, → steer, Space lets it drift' },
  { keys: 'The roller', does: 'Arrows push it, Space holds it back' },
  {
    keys: 'The flick stone',
    does: 'Draw back anywhere and let go once it lies still; or ←, → aim, ↑, ↓ set how hard, Space strikes',
  },
  { keys: 'P or Esc', does: 'Pause and go on' },
  { keys: 'R', does: 'Start again' },
];
