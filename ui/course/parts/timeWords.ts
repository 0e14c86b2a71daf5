import { runTime } from '../../parts';

/** The time of a course in words: its maker's own, else the expected one, as far as its way is known. */
export function timeWords(expected: number | null, own: number | undefined): string {
  if (own !== undefined) return `. You finished it in ${runTime(own)}.`;
  if (expected !== null) return `, about ${expected.toFixed(0)} s at a run.`;
  return '. A part of the way was not found, so no time is told.';
}
