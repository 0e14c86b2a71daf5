import { proxy } from 'comlink';
import type { Finding } from '@/core/check';
import type { Course } from '@/core/course';
import type { Roads } from '@/core/route';
import type { Checker } from './check.worker';
import { LastingWorker, withoutPicture } from './lastingWorker';

/** Who wants to know what the check of a course finds. */
export interface CheckListener {
  readonly told: (findings: Finding[]) => void;
  /** The part of the check that is done, 0 to 1. */
  readonly progress: (part: number) => void;
  /** The check could not be begun, or broke off. */
  readonly failed: () => void;
}

const checker = new LastingWorker<Checker>(
  () => new Worker(new URL('./check.worker', window.location.href)),
  'The check broke off.',
);

/** Checks a course in a worker; of several asked for while it is busy only the last is checked. */
export function checkInWorker(course: Course, { told, progress, failed }: CheckListener): void {
  const heard = proxy((part: number) => progress(part));
  checker.latest((api) => api.check(withoutPicture(course), heard), told, failed);
}

/**
 * Looks for the ways from mark to mark in the same worker, after the check that is under way.
 * @throws when the worker cannot be begun or breaks
 */
export const roadsElsewhere = (course: Course): Promise<Roads> =>
  checker.also((api) => api.roads(withoutPicture(course)));
