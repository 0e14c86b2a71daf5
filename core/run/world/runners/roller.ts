import { RUNNER_TRAITS, type RunnerSettings } from '../../../course';
import { SHARED, type Kind, type RunnerSpec } from './kind';

/** A round stone that is pushed along and rolls. */
export interface Roller extends Kind<'roller'> {
  /** Change of speed of a full push, on the ground and in the air, m/s². */
  readonly acceleration: number;
  readonly airAcceleration: number;
  /** Slowing by a push against the way it goes, m/s². */
  readonly brake: number;
  /** Greatest hold, as a part of what presses it down: more slope than that and it slips. */
  readonly grip: number;
  /** Part of what presses it down that rolling costs. */
  readonly rolling: number;
}

const DEFAULTS = {
  ...{ topSpeed: 12, acceleration: 7, grip: 0.9, bounce: 0.3, friction: 0.015, mass: 300 },
};

export const ROLLER = {
  defaults: DEFAULTS,
  presets: [
    { label: 'Cobble', settings: {} },
    { label: 'Cork', settings: { acceleration: 10, bounce: 0.65, topSpeed: 10 } },
    { label: 'Millstone', settings: { acceleration: 4, bounce: 0.05, topSpeed: 16 } },
  ],
  compile: (settings: RunnerSettings): Roller => {
    const told = { ...DEFAULTS, ...settings };
    const { topSpeed, acceleration, grip, bounce, friction, mass } = told;
    return {
      ...SHARED,
      ...RUNNER_TRAITS.roller,
      kind: 'roller',
      body: { radius: 0.35, half: 0 },
      ...{ topSpeed, acceleration, grip, bounce, mass },
      airAcceleration: acceleration * 0.25,
      brake: acceleration,
      rolling: friction,
    };
  },
  camera: { distance: 13, pitch: 21, pace: 0.8 },
} satisfies RunnerSpec<Roller>;
