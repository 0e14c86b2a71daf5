import type { CourseKind } from '@/core/course';
import { formatDistanceToNowStrict } from 'date-fns/formatDistanceToNowStrict';

/** A time of a run to the millisecond: 31.642, or 1:02.480 past a minute. */
export function runTime(seconds: number): string {
  const ms = Math.round(seconds * 1000);
  const minutes = Math.floor(ms / 60_000);
  const rest = ((ms % 60_000) / 1000).toFixed(3);
  return minutes > 0 ? `${minutes}:${rest.padStart(6, '0')}` : rest;
}

/** Strokes with their word: 1 stroke, 4 strokes. */
export const strokesText = (count: number): string =>
  `${count} ${count === 1 ? 'stroke' : 'strokes'}`;

/** What a finished run came to: its time, or where the fewest strokes win those and then its time. */
export const resultText = (
  kind: CourseKind,
  { time, strokes }: { readonly time: number; readonly strokes: number },
): string => (kind === 'strokes' ? `${strokesText(strokes)}, ${runTime(time)}` : runTime(time));

/** A difference with its sign: −0.871, +0.380. */
export const timeGap = (seconds: number): string =>
  `${seconds < 0 ? '−' : '+'}${Math.abs(seconds).toFixed(3)}`;

/** How long ago, in words. */
export const ago = (ms: number): string =>
  Date.now() - ms < 60_000 ? 'just now' : `${formatDistanceToNowStrict(ms)} ago`;

/** A share as whole parts of a hundred. */
export const percent = (part: number): string => `${Math.round(part * 100)} %`;

export const metres = (m: number): string => `${Math.round(m)} m`;

/** A size of a file, in MB past one. */
export const megabytes = (bytes: number): string =>
  bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${(bytes / 1e6).toFixed(1)} MB`;

/** A weight in kilograms, or tonnes past a thousand. */
export const weightText = (kg: number): string =>
  kg < 995 ? `${kg < 10 ? kg.toFixed(1) : Math.round(kg)} kg` : `${(kg / 1000).toFixed(1)} t`;

/** A number as it is shown and typed: no more digits than it has, and no float's tail. */
export const shortNumber = (value: number): string => String(Math.round(value * 1e4) / 1e4 + 0);

/** The same as it is read, not as it is typed: with the sign that stands for less than nothing. */
export const numberText = (value: number): string => shortNumber(value).replace('-', '−');

/** How often something was begun, and how often that came to its goal. */
interface Tried {
  readonly tries: number;
  readonly finishes: number;
}

/** How often a course was begun, and what part of that came to its goal, in words. */
export function triesWords({ tries, finishes }: Tried): string {
  if (tries === 0) return 'Not run yet';
  const runs = `${tries.toLocaleString('en')} ${tries === 1 ? 'try' : 'tries'}`;
  return `${percent(Math.min(1, finishes / tries))} finish · ${runs}`;
}
