import * as v from 'valibot';

/** How many letters a course's name has at most. */
export const MAX_NAME = 60;

/** No characters that are not seen, nor such as turn the text after them round. */

export const SEEN = /^[^\u0000-\u001f\u007f-\u009f\u200e\u200f\u202a-\u202e\u2066-\u2069]*$/;

/** Characters that show nothing: joiners, fillers and blanks. */
const UNSEEN = /[\p{Default_Ignorable_Code_Point}\p{White_Space}\u2800]/gu;

/** What a course may be called; what stands about it is cut off. */
export const CourseName = v.pipe(
  v.string(),
  v.trim(),
  v.regex(SEEN, 'A name has no characters that are not seen.'),
  v.check((name) => name.replace(UNSEEN, '').length >= 3, 'A name needs at least three letters.'),
  v.maxLength(MAX_NAME, `A name has at most ${MAX_NAME} letters.`),
);

/** What is wrong with a course's name, in a sentence; null where nothing is. */
export function nameProblem(name: string): string | null {
  const read = v.safeParse(CourseName, name);
  return read.success ? null : read.issues[0].message;
}
