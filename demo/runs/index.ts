import type { Run } from '@/core/run';
import beaconStair from './beacon-stair.json';
import kilnYard from './kiln-yard.json';
import limeTramway from './lime-tramway.json';
import lowTideSteps from './low-tide-steps.json';
import netLoftLinks from './net-loft-links.json';
import saltPanHop from './salt-pan-hop.json';
import saltPanSlalom from './salt-pan-slalom.json';

/** A run and who made it. */
export interface DemoRun {
  readonly player: string;
  readonly run: Run;
}

/** For each demo course its maker's run, then those of three players, as `demo/record.ts` drove them. */
export const DEMO_RUNS: Record<string, readonly DemoRun[]> = {
  'low-tide-steps': lowTideSteps as unknown as DemoRun[],
  'salt-pan-hop': saltPanHop as unknown as DemoRun[],
  'salt-pan-slalom': saltPanSlalom as unknown as DemoRun[],
  'lime-tramway': limeTramway as unknown as DemoRun[],
  'beacon-stair': beaconStair as unknown as DemoRun[],
  'kiln-yard': kilnYard as unknown as DemoRun[],
  'net-loft-links': netLoftLinks as unknown as DemoRun[],
};
