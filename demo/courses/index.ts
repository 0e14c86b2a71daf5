import type { DemoCourse } from './demoCourse';
import { beaconStair } from './beaconStair';
import { kilnYard } from './kilnYard';
import { limeTramway } from './limeTramway';
import { netLoftLinks } from './netLoftLinks';
import { lowTideSteps } from './lowTideSteps';
import { saltPanHop } from './saltPanHop';
import { saltPanSlalom } from './saltPanSlalom';

export type { DemoCourse } from './demoCourse';

/** The demo courses, the one to begin with first. */
export const DEMO_COURSES: readonly DemoCourse[] = [
  lowTideSteps,
  saltPanHop,
  saltPanSlalom,
  limeTramway,
  beaconStair,
  kilnYard,
  netLoftLinks,
];
