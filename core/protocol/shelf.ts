import * as v from 'valibot';
import { boundedList, SEEN } from '../course';

/** Most tags of a course. */
export const MOST_TAGS = 8;

const Word = (most: number, what: string) =>
  v.pipe(
    v.string(),
    v.transform((text) => text.normalize('NFC').replace(/\s+/g, ' ')),
    v.trim(),
    v.regex(SEEN, `A ${what} has no characters that are not seen.`),
    v.minLength(1, `A ${what} needs a letter.`),
    v.maxLength(most, `A ${what} has at most ${most} letters.`),
  );
export const FolderName = Word(40, 'folder');
export const TagName = Word(24, 'tag');

/** Where a maker keeps a course among their own: in a folder, or none, and under tags. Nobody else sees it. */
export const ShelfBody = v.object({
  folder: v.nullable(FolderName),
  tags: v.pipe(
    boundedList(TagName, MOST_TAGS, `A course has at most ${MOST_TAGS} tags.`),
    // Written twice it is one.
    v.transform((tags) => [...new Set(tags)]),
  ),
});
export type Shelf = v.InferOutput<typeof ShelfBody>;
