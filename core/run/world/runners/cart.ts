import { RUNNER_TRAITS, type RunnerSettings } from '../../../course';
import { SHARED, type Kind, type RunnerSpec } from './kind';

/** A barrow on wheels. */
export interface Cart extends Kind<'cart'> {
  readonly acceleration: number;
  readonly brake: number;
  /** Sideways hold, as a part of what presses it down. */
  readonly grip: number;
  /** Radius of its circle at full lock, m. */
  readonly turnRadius: number;
  /** Part of the steering that is left in the air. */
  readonly air: number;
}

const DEFAULTS = {
  ...{ topSpeed: 14, acceleration: 7, brake: 14, grip: 1.4, turnRadius: 4, air: 0.4, mass: 200 },
};

export const CART = {
  defaults: DEFAULTS,
  presets: [
    { label: 'Barrow', settings: {} },
    { label: 'Sledge', settings: { grip: 0.55, topSpeed: 16, turnRadius: 5 } },
    { label: 'Tub', settings: { grip: 2.2, topSpeed: 10, acceleration: 5, turnRadius: 2.5 } },
  ],
  compile: (settings: RunnerSettings): Cart => {
    const told = { ...DEFAULTS, ...settings };
    const { topSpeed, acceleration, brake, grip, turnRadius, air, mass } = told;
    return {
      ...SHARED,
      ...RUNNER_TRAITS.cart,
      kind: 'cart',
      body: { radius: 0.4, half: 0 },
      ...{ topSpeed, acceleration, brake, grip, turnRadius, air, mass },
      bounce: 0.15,
    };
  },
  camera: { distance: 13, pitch: 21, pace: 3.2 },
} satisfies RunnerSpec<Cart>;
