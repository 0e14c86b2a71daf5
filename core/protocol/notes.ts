import * as v from 'valibot';

/** Most notes one person may have on a course. */
export const MOST_NOTES = 5;

/** A word to the maker of a course, which only they read. */
export const NoteBody = v.object({
  words: v.pipe(
    v.string(),
    v.trim(),
    v.minLength(2, 'A note has at least two letters.'),
    v.maxLength(500, 'A note has at most 500 letters.'),
  ),
});

/** Notes on a course, for its maker, the newest first. */
export const NotesAnswer = v.object({
  notes: v.array(
    v.object({
      id: v.number(),
      by: v.string(),
      words: v.string(),
      made: v.number(),
      /** True once the course's maker has reported it. */
      reported: v.boolean(),
      /** True while that maker takes no notes from its writer. */
      blocked: v.boolean(),
    }),
  ),
  /** The id to ask for older notes with; null where there are none. */
  next: v.nullable(v.number()),
});
/** Blocks the writer of a note, or lets them write again. */
export const BlockBody = v.object({ blocked: v.boolean() });
export type NoteToMaker = v.InferOutput<typeof NotesAnswer>['notes'][number];
