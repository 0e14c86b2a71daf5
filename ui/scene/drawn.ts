import type { ReactNode } from 'react';
import { create } from 'zustand';

/** What one canvas has drawn. */
export interface Drawn {
  readonly contents: ReactNode;
  /** Whether every frame is drawn, or only those in which something changed. */
  readonly running: boolean;
}

interface DrawnState extends Drawn {
  /** Whose contents these are; null before the first canvas there was. */
  readonly by: symbol | null;
}

const useDrawnState = create<DrawnState>(() => ({ by: null, contents: null, running: false }));

/** What is to be drawn now; nothing where no canvas has been there yet. */
export const useDrawn = (): Drawn | null => {
  const now = useDrawnState();
  return now.by && now;
};

/** Has something drawn. Whoever came last is drawn: a canvas in front is there before the one behind it goes. */
export function draw(by: symbol, drawn: Drawn): void {
  useDrawnState.setState({ by, ...drawn });
}

/** Ends the drawing of one canvas, unless another has taken it up. */
export function endDrawing(by: symbol): void {
  if (useDrawnState.getState().by === by) {
    useDrawnState.setState({ contents: null, running: false });
  }
}
