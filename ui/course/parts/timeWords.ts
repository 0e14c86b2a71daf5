import type { CourseKind } from '@/core/course';
import type { Expectation } from '@/core/route';
import { strokesText } from '../../parts';

/**
 * What a course takes in words: what it took its maker, else the time expected, or the strokes where those count.
 * @param kind of the course
 * @param expected as far as its way is known
 * @param own what its maker's finish came to
 */
export function timeWords(
  kind: CourseKind,
  { time, strokes }: Pick<Expectation, 'time' | 'strokes'>,
  own: string | undefined,
): string {
  if (own !== undefined) return `. You finished it in ${own}.`;
  if (time === null) return '. A part of the way was not found, so no time is told.';
  if (kind !== 'strokes') return `, about ${time.toFixed(0)} s at a run.`;
  return strokes === null ? '.' : `, about ${strokesText(strokes)}.`;
}
