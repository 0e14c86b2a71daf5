import type { Course } from '../course';
import { CORE_VERSION, courseHash, type Run } from '../run';

/** A run of given stretches: ticks, pad x, pad z, jump. */
export const runOf = (course: Course, ...inputs: Run['inputs']): Run => ({
  format: 'stone-hop-run',
  core: CORE_VERSION,
  course: courseHash(course),
  seed: 0,
  inputs,
  claim: 0,
});
