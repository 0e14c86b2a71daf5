import type { RunnerKind } from '@/core/course';
import { cart } from './cart';
import { flick } from './flick';
import { hopper } from './hopper';
import { roller } from './roller';
import type { RunnerRow } from './row';

export type { Held, RunnerRow } from './row';

/** Every kind of runner as it is shown and worked. */
export const RUNNER_ROWS: Readonly<Record<RunnerKind, RunnerRow>> = { hopper, roller, cart, flick };
