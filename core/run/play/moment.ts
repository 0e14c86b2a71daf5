import { TICKS_PER_SECOND } from '../../motion';
import type { Run, Stretch } from './record';

/** The first ticks of a run, as a run. */
export function firstTicks(run: Run, ticks: number): Run {
  const inputs: Stretch[] = [];
  let left = ticks;
  for (const [count, x, z, jump] of run.inputs) {
    if (left <= 0) break;
    inputs.push([Math.min(count, left), x, z, jump]);
    left -= count;
  }
  return { ...run, inputs, claim: (ticks - Math.max(0, left)) / TICKS_PER_SECOND };
}
