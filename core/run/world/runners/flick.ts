import { RUNNER_TRAITS, type RunnerSettings } from '../../../course';
import { SHARED, type Kind, type RunnerSpec } from './kind';

/** A puck that is struck and slides. */
export interface Flick extends Kind<'flick'> {
  /** Speed of the hardest stroke, m/s. */
  readonly strength: number;
  /** Friction as a part of what presses it down. */
  readonly friction: number;
}

const DEFAULTS = { strength: 14, friction: 0.18, bounce: 0.6, mass: 40 };

export const FLICK = {
  defaults: DEFAULTS,
  presets: [
    { label: 'Puck', settings: {} },
    { label: 'Ice stone', settings: { friction: 0.05, strength: 10 } },
    { label: 'Rubber', settings: { friction: 0.3, bounce: 0.85, strength: 18 } },
  ],
  compile: (settings: RunnerSettings): Flick => {
    const { strength, friction, bounce, mass } = { ...DEFAULTS, ...settings };
    return {
      ...SHARED,
      ...RUNNER_TRAITS.flick,
      kind: 'flick',
      body: { radius: 0.28, half: 0 },
      ...{ strength, friction, bounce, mass },
      topSpeed: strength,
    };
  },
  // It is aimed from higher up.
  camera: { distance: 16, pitch: 34, pace: 0 },
} satisfies RunnerSpec<Flick>;
