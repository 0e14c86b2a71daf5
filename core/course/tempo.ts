import * as v from 'valibot';
import { between, count, pause, text } from './values';

/** The music a course is built to: the page's own musician, or a recording kept with the course. */
export const TempoSchema = v.looseObject({
  /** Beats a minute. */
  beats: between(30, 300),
  /** Seconds from the run's start to the first beat. */
  offset: v.optional(pause),
  /** Beats in a bar. */
  bar: v.optional(count(1, 16)),
  /** Whether the page's musician plays along in runs. */
  plays: v.optional(v.boolean()),
  recording: v.optional(
    v.looseObject({
      name: text(120),
      /** Identifier of the file on the server. */
      file: v.pipe(text(80), v.regex(/^[0-9a-f]{64}\.(wav|mp3|ogg)$/, 'is no recording')),
    }),
  ),
});

export type Tempo = v.InferOutput<typeof TempoSchema>;

/** Seconds of so many beats. */
export const beatSeconds = (tempo: Tempo | undefined, beats: number): number =>
  (beats * 60) / (tempo?.beats ?? 120);
