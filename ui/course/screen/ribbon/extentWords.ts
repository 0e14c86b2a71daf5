import type { Expectation } from '@/core/route';
import { metres, runTime } from '../../../parts';

/**
 * The length of a course, and the time it takes as far as that is known.
 * @param own seconds in which its maker finished it as it is now
 */
export function extentWords({ length, time }: Expectation, own: number | undefined): string {
  if (own !== undefined) return `${metres(length)}, run in ${runTime(own)}`;
  return time === null ? metres(length) : `${metres(length)}, about ${Math.round(time)} s`;
}
