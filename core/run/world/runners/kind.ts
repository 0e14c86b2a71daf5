import type { RUNNER_TRAITS, RunnerKind, RunnerSettings } from '../../../course';

/** A runner's measures in physical units, with the traits of its kind. */
export type Kind<K extends RunnerKind> = Shape<K> & (typeof RUNNER_TRAITS)[K];

interface Shape<K extends RunnerKind> {
  readonly kind: K;
  /** Radius of its body and half the length of its inner segment, m. */
  readonly body: { readonly radius: number; readonly half: number };
  /** Greatest speed of its own, m/s. */
  readonly topSpeed: number;
  /** What loose pieces feel of it, kg. */
  readonly mass: number;
  /** What is left of the speed of an impact, 0 to 1. */
  readonly bounce: number;
  /** Greatest falling speed, m/s. */
  readonly fallSpeed: number;
  /** Ticks after a return to a checkpoint in which inputs are ignored. */
  readonly restTicks: number;
}

/** All there is to a kind of runner but how it moves. */
export interface RunnerSpec<R extends Kind<RunnerKind>> {
  /** What it is when the maker says nothing. */
  readonly defaults: RunnerSettings;
  /** Named settings to begin from; the first are as usual. */
  readonly presets: readonly { readonly label: string; readonly settings: RunnerSettings }[];
  /** The runner with the settings given, and the defaults for the rest. */
  readonly compile: (settings: RunnerSettings) => R;
  /**
   * How far behind it a camera usually stands, m, how steeply that looks down, degrees, and how quickly it comes
   * round after the runner, 1/s.
   */
  readonly camera: { readonly distance: number; readonly pitch: number; readonly pace: number };
}

/** What is alike for all. */
export const SHARED = { fallSpeed: 40, restTicks: 30 };
