import type { Run } from '@/core/run';
import lowTideSteps from './low-tide-steps.json';
import saltPanHop from './salt-pan-hop.json';

/** A run and who made it. */
export interface DemoRun {
  readonly player: string;
  readonly run: Run;
}

/** For each demo course its maker's run, then those of three players, as `demo/record.ts` drove them. */
export const DEMO_RUNS: Record<string, readonly DemoRun[]> = {
  'low-tide-steps': lowTideSteps as unknown as DemoRun[],
  'salt-pan-hop': saltPanHop as unknown as DemoRun[],
};
