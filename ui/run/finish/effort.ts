import type { Course } from '@/core/course';
import { RUNNER_ROWS } from '../runners';

/** What is counted of a course's runs beside the time. */
export const effortOf = ({ kind, runner }: Pick<Course, 'kind' | 'runner'>): 'jump' | 'stroke' =>
  kind === 'strokes' || RUNNER_ROWS[runner.kind].controls.kind === 'strokes' ? 'stroke' : 'jump';
