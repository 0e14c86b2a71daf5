import { useState } from 'react';
import type { LiveRun } from './liveRun';

/** The aids of a run and their switches. */
export interface RunTools {
  /** Collision shapes are drawn. */
  readonly shapes: boolean;
  readonly onShapes: (shown: boolean) => void;
  /** The bar with which a maker steps, flies and keeps moments is shown. */
  readonly tools: boolean;
  readonly onTools: (shown: boolean) => void;
  /** The touch controls are being moved about. */
  readonly arranging: boolean;
  readonly onArranging: (on: boolean) => void;
  /** The runner is flown by hand. */
  readonly flying: boolean;
  readonly onFlying: (on: boolean) => void;
}

/**
 * The aids of a run that are switched on.
 * @param held true while the run stands still: nothing is arranged in a run that goes on
 */
export function useRunTools(live: LiveRun, held: boolean): RunTools {
  const [shapes, onShapes] = useState(false);
  const [tools, onTools] = useState(false);
  const [arranging, onArranging] = useState(false);
  const [flown, setFlown] = useState<LiveRun | null>(null);
  if (!held && arranging) onArranging(false);
  return {
    ...{ shapes, onShapes, tools, onTools, arranging, onArranging },
    // Each attempt begins on its feet.
    flying: flown === live,
    onFlying: (on) => setFlown(on ? live : null),
  };
}
