import type { CourseKind } from './schema';

/** What ends a run, in words. */
export const KIND_WORDS: Readonly<Record<CourseKind, string>> = {
  point: 'Point to point',
  laps: 'Laps',
  gather: 'Gather every shell',
  hold: 'Hold the lantern',
  strokes: 'Fewest strokes',
};
