/** Where a pointer is, pixels of the canvas. */
export interface Finger {
  readonly x: number;
  readonly y: number;
}

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
