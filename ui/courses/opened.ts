import { MAX_COURSE_BYTES, MAX_NAME, type Course } from '@/core/course';
import { looksLikeSvg, openText } from '@/core/formats';

/** The name a play link ends in, or null when the text is no such link. */
export const linkSlug = (text: string): string | null =>
  /^(?:https?:\/\/[^/\s]+)?\/play\/([a-z0-9-]+)\/?$/i.exec(text.trim())?.[1] ?? null;

/** Files that are offered to be opened. */
export const OPENED = '.json,.txt,.svg,application/json,text/plain,image/svg+xml';

/**
 * A course from a file the maker chose, dropped or opened with Stone Hop: a course file, a code, or a drawing whose
 * outlines become platforms.
 * @throws Error in words when it is too large or no course
 */
export async function courseFromFile(file: File): Promise<Course> {
  if (file.size > MAX_COURSE_BYTES) {
    throw new Error(
      `${file.name} has ${(file.size / 1024 / 1024).toFixed(0)} MB; a course has at most 8 MB.`,
    );
  }
  const text = await file.text();
  if (!looksLikeSvg(text)) return openText(text);
  const { courseFromSvg } = await import('@/core/formats/import');
  return courseFromSvg(text, nameOf(file)).course;
}

/** What a course made of a file is called: as the file is. */
const nameOf = ({ name }: File): string => {
  const words = name
    .replace(/\.[^.]*$/, '')
    .replace(/[-_]+/g, ' ')
    .trim();
  return words.length < 3 ? 'From a drawing' : words.slice(0, MAX_NAME);
};
