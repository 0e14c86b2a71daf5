import type { RunnerKind, RunnerSettings } from '../../../course';
import { CART, type Cart } from './cart';
import { FLICK, type Flick } from './flick';
import { HOPPER, type Hopper } from './hopper';
import { ROLLER, type Roller } from './roller';
import type { RunnerSpec } from './kind';

export type { Cart } from './cart';
export type { Flick } from './flick';
export { hopperOf, SECONDS_TO_TOP_SPEED, SLOPE_LIMIT, STEP_HEIGHT, type Hopper } from './hopper';
export type { Roller } from './roller';

export type Runner = Hopper | Roller | Cart | Flick;

/** Every kind of runner there is. */
export const RUNNER_SPECS = {
  hopper: HOPPER,
  roller: ROLLER,
  cart: CART,
  flick: FLICK,
} satisfies Record<RunnerKind, RunnerSpec<Runner>>;

/** The runner of a course, from the settings it gives and the defaults for the rest. */
export const runnerOf = ({
  kind,
  settings = {},
}: {
  readonly kind: RunnerKind;
  readonly settings?: RunnerSettings;
}): Runner => RUNNER_SPECS[kind].compile(settings);
