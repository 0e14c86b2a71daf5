import * as v from 'valibot';
import {
  between,
  count,
  identifier,
  on,
  oneOf,
  pause,
  seconds,
  text,
  triple,
  coordinate,
} from './values';
import { CUES } from './cues';
import { EFFECTS, SOUNDS } from './effects';

// Cause and effect: what happens, and what follows from it. Each kind of either is a row of a table.

const pieces = v.pipe(v.array(identifier, 'is not a list'), v.maxLength(200, 'has more than 200'));

export const LinkSchema = v.looseObject({
  id: identifier,
  cue: v.looseObject({
    kind: oneOf(CUES, 'cue'),
    /** The pieces it watches, where it watches any. */
    pieces: v.optional(pieces),
    /** Whether all of its pieces have to be, each at any time, rather than any. */
    all: v.optional(on),
    /** Pickups, worth, falls or rounds; or every how many beats. */
    count: v.optional(count(1, 10_000)),
    /** How long it is stood in, the timer's time, or what is left of the limit. */
    seconds: v.optional(seconds),
  }),
  effects: v.pipe(
    v.array(
      v.looseObject({
        kind: oneOf(EFFECTS, 'effect'),
        pieces: v.optional(pieces),
        /** Times the usual; points; seconds of keeping still; metres of the tide. */
        value: v.optional(between(-1000, 10_000)),
        /** Seconds it lasts, or takes; for good when left out. */
        seconds: v.optional(pause),
        /** Speed given to the runner, m/s. */
        by: v.optional(triple(coordinate)),
        text: v.optional(text(120)),
        sound: v.optional(oneOf(SOUNDS, 'sound')),
      }),
    ),
    v.minLength(1, 'has no effect'),
    v.maxLength(20, 'has more than 20 effects'),
  ),
  delay: v.optional(pause),
  /** How likely it is, 0 to 1; the run's seed decides. */
  chance: v.optional(between(0, 1)),
  /** Once in a run; or each time, with so many seconds' rest. */
  once: v.optional(on),
  rest: v.optional(pause),
});

export type Link = v.InferOutput<typeof LinkSchema>;
export type Cue = Link['cue'];
export type Effect = Link['effects'][number];
