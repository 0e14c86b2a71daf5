import type { DemoCourse } from './demoCourse';
import { lowTideSteps } from './lowTideSteps';
import { saltPanHop } from './saltPanHop';

export type { DemoCourse } from './demoCourse';

/** The demo courses, the one to begin with first. */
export const DEMO_COURSES: readonly DemoCourse[] = [lowTideSteps, saltPanHop];
