import type { CourseKind } from '@/core/course';
import type { Expectation } from '@/core/route';
import { strokesText } from '../../parts';

type Expected = Pick<Expectation, 'time' | 'strokes'>;

/** The strokes needed where the fewest win, else the time expected: "about 7 s". Null while its way is not known. */
export function aboutWords(kind: CourseKind, { time, strokes }: Expected): string | null {
  if (kind === 'strokes') return strokes === null ? null : `at least ${strokesText(strokes)}`;
  return time === null ? null : `about ${time.toFixed(0)} s`;
}

/**
 * What a course takes in words: what it took its maker, else what is expected.
 * @param kind of the course
 * @param expected as far as its way is known
 * @param own what its maker's finish came to
 */
export function timeWords(kind: CourseKind, expected: Expected, own: string | undefined): string {
  if (own !== undefined) return `. You finished it in ${own}.`;
  if (expected.time === null) {
    return `. A part of the way was not found, so no ${kind === 'strokes' ? 'strokes are' : 'time is'} told.`;
  }
  const about = aboutWords(kind, expected);
  if (about === null) return '.';
  return kind === 'strokes' ? `, ${about}.` : `, ${about} at a run.`;
}
