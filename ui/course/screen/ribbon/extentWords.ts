import type { CourseKind } from '@/core/course';
import type { Expectation } from '@/core/route';
import { metres } from '../../../parts';
import { aboutWords } from '../../parts/timeWords';

/**
 * The length of a course, and what it takes as far as that is known.
 * @param kind of the course
 * @param expected as far as its way is known
 * @param own what its maker's finish came to, as it is now
 */
export function extentWords(
  kind: CourseKind,
  expected: Expectation,
  own: string | undefined,
): string {
  const takes = own === undefined ? aboutWords(kind, expected) : `run in ${own}`;
  const length = metres(expected.length);
  return takes === null ? length : `${length}, ${takes}`;
}
