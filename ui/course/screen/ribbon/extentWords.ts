import type { CourseKind } from '@/core/course';
import type { Expectation } from '@/core/route';
import { metres, strokesText } from '../../../parts';

/**
 * The length of a course, and the time it takes as far as that is known, or the strokes where those count.
 * @param kind of the course
 * @param expected as far as its way is known
 * @param own what its maker's finish came to, as it is now
 */
export function extentWords(
  kind: CourseKind,
  { length, time, strokes }: Expectation,
  own: string | undefined,
): string {
  if (own !== undefined) return `${metres(length)}, run in ${own}`;
  if (kind === 'strokes') {
    return strokes === null ? metres(length) : `${metres(length)}, about ${strokesText(strokes)}`;
  }
  return time === null ? metres(length) : `${metres(length)}, about ${Math.round(time)} s`;
}
