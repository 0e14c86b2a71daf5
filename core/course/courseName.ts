import * as v from 'valibot';

/** How many letters a course's name has at most. */
export const MAX_NAME = 60;

/** What a course may be called; what stands about it is cut off. */
export const CourseName = v.pipe(
  v.string(),
  v.trim(),
  v.minLength(3, 'A name needs at least three letters.'),
  v.maxLength(MAX_NAME, `A name has at most ${MAX_NAME} letters.`),
);

/** What is wrong with a course's name, in a sentence; null where nothing is. */
export function nameProblem(name: string): string | null {
  const read = v.safeParse(CourseName, name);
  return read.success ? null : read.issues[0].message;
}
